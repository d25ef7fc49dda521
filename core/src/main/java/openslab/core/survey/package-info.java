/**
 * What is wrong with this floor, and is it known well enough. A {@link openslab.core.survey.TestMethod} says what is keyed in,
 * how many an area needs and what one reading means; {@link openslab.core.survey.Survey} asks all of them and the worst
 * word wins. The newest reading at a place speaks for that place; older ones stay in the record.
 */
package openslab.core.survey;
