/**
 * When: a sheet's times carried over the slab's temperature. A clock has run out when ∫ dt / t(T) = 1, t(T) being the sheet's
 * time at temperature T. In this stage the slab stays at one temperature; the integral already takes a history.
 */
package openslab.core.cure;
