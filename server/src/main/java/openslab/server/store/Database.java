package openslab.server.store;

import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.jdbc.autoconfigure.JdbcConnectionDetails;
import org.springframework.stereotype.Component;

/**
 * Which database everything is kept in: one H2 file in the data folder, or a PostgreSQL server, {@code --database=URL}, whose user and
 * password come from the environment ({@value #USER}, {@value #PASSWORD}).
 */
@Component
public class Database implements JdbcConnectionDetails {
    public static final String USER = "SLAB_DATABASE_USER";
    public static final String PASSWORD = "SLAB_DATABASE_PASSWORD";
    private static final String SERVER = "jdbc:postgresql:";

    private final Access access;
    private final DataFolder folder;

    /** Where a database is, and who asks. */
    public record Access(String url, String user, String password) {
        public boolean isServer() {
            return isServer(url);
        }

        public static boolean isServer(String url) {
            return url.startsWith(SERVER);
        }
    }

    Database(
            DataFolder folder,
            @Value("${database:}") String url,
            @Value("${" + USER + ":}") String user,
            @Value("${" + PASSWORD + ":}") String password) {
        this.folder = folder;
        this.access = url.isEmpty() ? folder.file() : new Access(url, user, password);
    }

    /** Why a URL names no database that this can use; empty where it does. */
    static Optional<String> fault(String option, String url) {
        return Access.isServer(url)
                ? Optional.empty()
                : Optional.of("--" + option + "=" + url
                        + " is no database that Open Slab knows; write it like jdbc:postgresql://host/name.");
    }

    /** Whether it is a server that others may write to as well. */
    boolean isServer() {
        return access.isServer();
    }

    /** @throws openslab.server.web.NoSpace where nothing more is to be written; of its own disk a server says so itself */
    void requireSpace() {
        if (!isServer()) {
            folder.requireSpace();
        }
    }

    @Override
    public String getJdbcUrl() {
        return access.url();
    }

    @Override
    public String getUsername() {
        return access.user();
    }

    @Override
    public String getPassword() {
        return access.password();
    }
}
