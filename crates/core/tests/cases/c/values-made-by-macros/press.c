/* What macros are given may have a comma too many, and names of members, which the grammar does not know. */

static const struct info press_info = PRESS_DEFINE_INFO(
    "press",
    .methods = PRESS_METHODS(
        PRESS_METHOD("Weigh", ),
        PRESS_METHOD("Tip", .in = PRESS_ARGS(PRESS_ARG("load", "u"), ), ), ),
    .signals = PRESS_SIGNALS(PRESS_SIGNAL("Full", ), ), );

/**
 * Weighs what is in a press.
 *
 * @param press the press
 * @return its load in kg
 */
int press_weigh(struct press *press)
{
    return press->load;
}

/**
 * Sets up the class, a word that is a name here.
 *
 * @param klass the class
 */
static void press_class_init(struct press_class *class PRESS_UNUSED)
{
    press_ready = 1;
}
