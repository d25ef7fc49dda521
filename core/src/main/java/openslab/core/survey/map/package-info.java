/** Readings spread over a floor's shape: what lies between them, and where nobody knows. */
package openslab.core.survey.map;
