/** How a slab dries: diffusion through its thickness, fitted to what its probes read, and the day it is dry enough. */
package openslab.core.survey.dry;
