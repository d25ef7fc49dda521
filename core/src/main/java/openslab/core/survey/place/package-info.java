/** Where on a floor its tests are taken. */
package openslab.core.survey.place;
