/** Marks what is weighed. */
public @interface Weighed {
    /** The unit. */
    String unit() default "kg, net";
    int digits() default 2;
}
