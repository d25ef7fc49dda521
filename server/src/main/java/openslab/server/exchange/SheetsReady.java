package openslab.server.exchange;

import java.io.IOException;
import java.io.OutputStream;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFFormulaEvaluator;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * What a spreadsheet is written with takes seconds to come into memory, once for a process. It does so beside the first looks at the
 * screens, so that nobody who asks for a spreadsheet waits for it.
 */
@Component
class SheetsReady {
    private static final Logger LOG = LoggerFactory.getLogger(SheetsReady.class);

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        var thread = new Thread(SheetsReady::write, "sheets-ready");
        thread.setDaemon(true);
        thread.setPriority(Thread.MIN_PRIORITY);
        thread.start();
    }

    private static void write() {
        try (var book = new XSSFWorkbook()) {
            Sheet sheet = book.createSheet("Ready");
            var row = sheet.createRow(0);
            row.createCell(0).setCellValue("1");
            row.createCell(1).setCellFormula("MAX(0,CEILING(1.5,1))");
            row.getCell(0).setCellStyle(book.createCellStyle());
            XSSFFormulaEvaluator.evaluateAllFormulaCells(book);
            book.write(OutputStream.nullOutputStream());
        } catch (IOException e) {
            // whoever asks for a spreadsheet waits a little longer
            LOG.warn("what spreadsheets are written with is not ready", e);
        }
    }
}
