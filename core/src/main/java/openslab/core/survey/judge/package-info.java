/**
 * What is wrong with this floor, and is it known well enough: {@link openslab.core.survey.judge.Survey} asks all methods, and the
 * worst word wins.
 */
package openslab.core.survey.judge;
