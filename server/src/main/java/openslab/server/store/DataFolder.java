package openslab.server.store;

import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.jdbc.autoconfigure.JdbcConnectionDetails;
import org.springframework.stereotype.Component;

/** Where everything is kept, {@code --data=DIR}: one H2 file, written through at once. */
@Component
class DataFolder implements JdbcConnectionDetails {
    private final Path folder;

    /** @param folder may be relative to where the application was started; H2 itself takes only whole paths */
    DataFolder(@Value("${data:data}") String folder) {
        this.folder = Path.of(folder).toAbsolutePath().normalize();
    }

    @Override
    public String getJdbcUrl() {
        return "jdbc:h2:file:" + folder.resolve("openslab") + ";WRITE_DELAY=0;DB_CLOSE_ON_EXIT=FALSE";
    }

    @Override
    public String getUsername() {
        return "openslab";
    }

    @Override
    public String getPassword() {
        return "";
    }
}
