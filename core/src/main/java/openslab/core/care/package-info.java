/** What next year: when the floor is due again. */
package openslab.core.care;
