/** What is mixed: recipes for any sheet, and what the scale showed. */
@NullMarked
package openslab.server.mix;

import org.jspecify.annotations.NullMarked;
