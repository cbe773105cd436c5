/** Marks what is weighed. */
public @interface Weighed {
    /** The unit. */
    String unit() default "kg, net";
    int digits() default 2;
    /**
     * The name of the scale.
     * <p>Without one, the nearest is taken.
     */
    String scale() default "";
}
