/** How level a floor is: heights, low spots, what fills them, F-numbers. Metres; a height counts up. */
package openslab.core.floor.level;
