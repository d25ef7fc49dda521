/** What a reading is taken with, and what makes its word doubtful. */
package openslab.core.survey.instrument;
