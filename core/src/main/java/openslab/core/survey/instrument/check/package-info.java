/** Why a sample of an instrument may not be trusted: one class for each reason. */
package openslab.core.survey.instrument.check;
