/**
 * What a step of work takes: pace, tools, protection and wear of a kind of work, and the hours, dust, water and consumables that
 * follow for a floor. Paces are settings that the log corrects. Which kinds there are is said by the stage that does them.
 */
package openslab.core.course.work;
