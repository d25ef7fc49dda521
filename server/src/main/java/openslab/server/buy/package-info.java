/** What is bought for jobs, what it costs and where, what came of it, and what is left over. */
package openslab.server.buy;
