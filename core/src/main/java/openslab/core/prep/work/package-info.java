/**
 * What a step of preparation takes: the kinds of work there are, with their pace, tools, protection and wear, and the hours,
 * dust, water and consumables that follow for a floor. Paces are settings that the log corrects.
 */
package openslab.core.prep.work;
