/** The test methods, one class each; {@link openslab.core.survey.TestMethods} lists them. */
package openslab.core.survey.method;
