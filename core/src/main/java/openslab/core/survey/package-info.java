/**
 * What a test of a floor is. A {@link openslab.core.survey.TestMethod} says what is keyed in, how many an area needs and what one
 * reading means. The newest reading at a place speaks for that place; older ones stay in the record.
 */
package openslab.core.survey;
