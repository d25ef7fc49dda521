package openslab.core.survey.map;

import openslab.core.floor.Outline.Corner;

/** A value read at a place. @param at metres of the zone's plan */
public record MapPoint(String name, Corner at, double value) {}
