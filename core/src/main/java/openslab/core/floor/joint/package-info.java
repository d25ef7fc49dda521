/** Where a new slab is to crack: saw cuts by thickness. Metres. */
package openslab.core.floor.joint;
