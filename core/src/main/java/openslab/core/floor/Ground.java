package openslab.core.floor;

/** What the work of a cycle stands on. */
public enum Ground {
    /** The floor itself, or what has to come off it first. */
    BARE,
    /** The film of an earlier cycle comes off, or was there where the floor is patched: nobody has to find out what it is. */
    COMES_OFF,
    /** The film of an earlier cycle stays, and nothing goes on it. */
    FILM_KEPT,
    /** The film of an earlier cycle stays, and the same sheet goes on it. */
    OWN_FILM,
    /** The film of an earlier cycle stays, and the same sheet goes on it and melts it again. */
    OWN_FILM_MELTS,
    /** The film of an earlier cycle stays, and another sheet goes on it. */
    OTHER_FILM;

    /** Whether a film stays between the floor and whatever goes on. */
    public boolean isFilm() {
        return this != BARE && this != COMES_OFF;
    }
}
