package openslab.server.web;

/** Nothing more can be written: the disk is full, or the folder may only be read. Whatever was asked was not saved. */
public final class NoSpace extends RuntimeException {
    public NoSpace(String why, Throwable cause) {
        super(why, cause);
    }
}
