/**
 * The whole of a job: facts in, report out. {@link openslab.core.job.ZoneFacts} is what somebody measured, chose or did;
 * {@link openslab.core.job.ZoneReport} is everything that follows from it at a given moment, and is what the screens are
 * told. It stands after every stage and computes nothing of its own.
 */
package openslab.core.job;
