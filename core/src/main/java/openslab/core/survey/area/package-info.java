/** What lies on a floor or is wrong with it, drawn as areas. */
package openslab.core.survey.area;
