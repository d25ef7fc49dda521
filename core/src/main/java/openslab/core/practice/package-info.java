/**
 * Where practitioners do not agree: each question with its schools, the one that is followed where nobody chose, and why. A shop
 * follows one, and a job may follow another. A new question is one file with its schools, and one line in {@link
 * openslab.core.practice.Practices#ALL}.
 */
package openslab.core.practice;
