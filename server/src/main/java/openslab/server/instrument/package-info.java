/** The instruments of the shop: their papers, what they send, and files of what they wrote down. */
package openslab.server.instrument;
