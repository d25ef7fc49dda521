/** The test methods, one class each; {@link openslab.core.survey.method.TestMethods} lists them. */
package openslab.core.survey.method;
