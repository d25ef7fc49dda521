package openslab.server.exchange;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import openslab.core.buy.Bill;
import openslab.server.web.CsvCell;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** What is to be ordered as CSV (RFC 4180): docs/formats/take-off.md. One line a pack, by supplier. */
final class OrderCsv {
    private static final CSVFormat FORMAT = CSVFormat.RFC4180
            .builder()
            .setHeader("supplier", "what", "title", "colour", "pack", "number", "each", "cost", "currency")
            .setRecordSeparator("\r\n")
            .get();

    private OrderCsv() {}

    static String of(Bill bill) {
        var out = new StringBuilder();
        try (var csv = new CSVPrinter(out, FORMAT)) {
            for (Bill.SupplierList list : bill.suppliers()) {
                for (Bill.OrderLine l : list.lines()) {
                    csv.printRecord(
                            CsvCell.harmless(list.supplier()),
                            l.what(),
                            CsvCell.harmless(l.title()),
                            CsvCell.harmless(l.colour()),
                            CsvCell.harmless(l.pack()),
                            l.count(),
                            money(l.eachCents()),
                            money(l.cents()),
                            bill.currency());
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    /** Nothing where nobody noted a price. */
    private static String money(long cents) {
        return cents == 0 ? "" : BigDecimal.valueOf(cents, 2).toPlainString();
    }
}
