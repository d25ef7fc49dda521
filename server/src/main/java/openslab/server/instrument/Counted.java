package openslab.server.instrument;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;

/** Counts what is read, for whoever watches; nothing that ends nowhere is read into memory. */
final class Counted extends FilterInputStream {
    /** OURS: a line of a hundred columns is a few thousand; what is read ahead of it counts too. */
    private static final long LONGEST_LINE = 1L << 20;

    private long count;
    private long begun;

    Counted(InputStream in) {
        super(in);
    }

    /** A line was read to its end. */
    void ended() {
        begun = count;
    }

    private void counted(int more) throws IOException {
        count += more;
        if (count - begun > LONGEST_LINE) {
            throw new IOException("a line of more than " + LONGEST_LINE + " bytes");
        }
    }

    /** Bytes so far. */
    long count() {
        return count;
    }

    @Override
    public int read() throws IOException {
        int b = super.read();
        counted(b < 0 ? 0 : 1);
        return b;
    }

    @Override
    public int read(byte[] b, int off, int len) throws IOException {
        int n = super.read(b, off, len);
        counted(Math.max(0, n));
        return n;
    }
}
