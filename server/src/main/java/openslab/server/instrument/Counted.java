package openslab.server.instrument;

import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;

/** Counts what is read, for whoever watches. */
final class Counted extends FilterInputStream {
    private long count;

    Counted(InputStream in) {
        super(in);
    }

    /** Bytes so far. */
    long count() {
        return count;
    }

    @Override
    public int read() throws IOException {
        int b = super.read();
        count += b < 0 ? 0 : 1;
        return b;
    }

    @Override
    public int read(byte[] b, int off, int len) throws IOException {
        int n = super.read(b, off, len);
        count += Math.max(0, n);
        return n;
    }
}
