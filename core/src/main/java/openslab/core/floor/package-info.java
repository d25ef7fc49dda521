/**
 * What shape the floor is. Lengths metres, areas square metres, corners anticlockwise or clockwise alike. In this stage a
 * zone is a rectangle or an L; both answer as an {@link openslab.core.floor.Outline} of corners, which is all that later
 * stages ask for, so that free shapes are one more {@link openslab.core.floor.Shape}.
 */
package openslab.core.floor;
