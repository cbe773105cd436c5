/**
 * The press house.
 *
 * @since 1
 */
@Generated
package sallow.ridge.press;
