/**
 * What cutting, grinding and breaking concrete asks of the people who do it: the task table, the air at the shroud, and what
 * a measured shift comes to. Information, not legal advice; local rules decide.
 */
package openslab.core.silica;
