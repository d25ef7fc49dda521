package openslab.server.exchange;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.XRLog;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;

/** XHTML with our own fonts to PDF; nothing is fetched from anywhere. */
final class Pdf {
    private static final String FAMILY = "Barlow";
    /** Where a TrueType font lists its tables, and how long each entry is. */
    private static final int TABLES_FROM = 12;

    private static final int TABLE_BYTES = 16;

    static {
        XRLog.setLoggingEnabled(false);
    }

    private Pdf() {}

    /** A page that the browser shows, and keeps under {@code name}. */
    static ResponseEntity<byte[]> shown(String name, String xhtml) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"" + name + "\"")
                .body(of(xhtml));
    }

    static byte[] of(String xhtml) {
        var out = new ByteArrayOutputStream();
        try (var svg = new BatikSVGDrawer()) {
            new PdfRendererBuilder()
                    .useFont(() -> font("400Regular/Barlow_400Regular.ttf"), FAMILY, 400, FontStyle.NORMAL, true)
                    .useFont(() -> font("600SemiBold/Barlow_600SemiBold.ttf"), FAMILY, 600, FontStyle.NORMAL, true)
                    .useFont(() -> font("DejaVuSans.ttf"), "Signs", 400, FontStyle.NORMAL, true)
                    .useSVGDrawer(svg)
                    .useUriResolver((base, uri) -> null)
                    .withHtmlContent(xhtml, null)
                    .toStream(out)
                    .run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** The font without its joined signs: a page that writes "ff" as one sign cannot be searched for it. */
    private static InputStream font(String file) {
        try (InputStream in = Pdf.class.getResourceAsStream("/fonts/" + file)) {
            if (in == null) {
                throw new IllegalStateException("the application ships without " + file);
            }
            byte[] font = in.readAllBytes();
            int tables = (font[4] & 0xff) << 8 | font[5] & 0xff;
            for (int i = 0; i < tables; i++) {
                int at = TABLES_FROM + i * TABLE_BYTES;
                if (new String(font, at, 4, StandardCharsets.US_ASCII).equals("GSUB")) {
                    // under a name that nobody knows it is passed over
                    font[at] = 'x';
                }
            }
            return new ByteArrayInputStream(font);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
