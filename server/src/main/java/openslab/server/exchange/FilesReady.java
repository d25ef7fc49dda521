package openslab.server.exchange;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.xssf.usermodel.XSSFFormulaEvaluator;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * What spreadsheets and paper are written with takes seconds to come into memory, once for a process. It does so beside the first looks
 * at the screens, so that nobody who asks for one waits for it.
 */
@Component
class FilesReady {
    private static final Logger LOG = LoggerFactory.getLogger(FilesReady.class);

    /** Words and a drawing, as a report has them. */
    private static final String PAGE =
            "<html><head><style>body{font-family:Barlow}</style></head><body><table><tr><td>1</td></tr></table>"
                    + "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"9\" height=\"9\"><path d=\"M0 0L9 9\"/></svg></body></html>";

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        var thread = new Thread(FilesReady::tryOut, "files-ready");
        thread.setDaemon(true);
        thread.setPriority(Thread.MIN_PRIORITY);
        thread.start();
    }

    private static void tryOut() {
        try {
            spreadsheet();
            Pdf.of(PAGE);
        } catch (RuntimeException e) {
            // whoever asks for a file waits a little longer
            LOG.warn("what files are written with is not ready", e);
        }
    }

    private static void spreadsheet() {
        try (var book = new XSSFWorkbook()) {
            Row row = book.createSheet("Ready").createRow(0);
            row.createCell(0).setCellValue("1");
            row.createCell(1).setCellFormula("MAX(0,CEILING(1.5,1))");
            row.getCell(0).setCellStyle(book.createCellStyle());
            XSSFFormulaEvaluator.evaluateAllFormulaCells(book);
            book.write(OutputStream.nullOutputStream());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
