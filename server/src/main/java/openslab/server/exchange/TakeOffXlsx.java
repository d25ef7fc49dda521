package openslab.server.exchange;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import openslab.core.buy.Bill;
import openslab.core.buy.Buying;
import openslab.core.buy.Sundry;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Unit;
import openslab.server.buy.TakeOffs;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellStyle;
import org.apache.poi.ss.usermodel.Font;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.util.CellReference;
import org.apache.poi.xssf.usermodel.XSSFFormulaEvaluator;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;

/**
 * A take-off as a spreadsheet (docs/formats/take-off.md): every number that was worked out is a live formula over those it was
 * worked out from, so that whoever wants to may check it, or change an area and see what follows.
 */
final class TakeOffXlsx {
    private static final String ENOUGH = "enough";
    private static final String SHORT = "short";
    private static final int AMOUNT = 4;
    private static final int READ = 6;
    private static final int[] WIDTHS = {26, 24, 30, 16, 12, 8, 12, 8};

    private final XSSFWorkbook book = new XSSFWorkbook();
    private final CellStyle head = book.createCellStyle();
    private final Sheet takeOff = book.createSheet("Take-off");
    private final Sheet order = book.createSheet("Order");
    private final FigureCells working;
    private final TakeOffs.Read read;
    /** Where the amount to buy of each material stands. */
    private final Map<Buying, String> toBuy = new HashMap<>();

    private final Map<String, String> counts = new HashMap<>();
    private int next;

    private TakeOffXlsx(TakeOffs.Read read) {
        this.read = read;
        Font bold = book.createFont();
        bold.setBold(true);
        head.setFont(bold);
        working = new FigureCells(book.createSheet("Working"), head);
        for (int i = 0; i < WIDTHS.length; i++) {
            takeOff.setColumnWidth(i, WIDTHS[i] * 256);
            order.setColumnWidth(i, WIDTHS[i] * 256);
            book.getSheet("Working").setColumnWidth(i, WIDTHS[i] * 256);
        }
    }

    static byte[] of(TakeOffs.Read read) {
        var xlsx = new TakeOffXlsx(read);
        try (xlsx.book) {
            xlsx.materials();
            xlsx.small();
            xlsx.orders();
            // whoever only looks sees the numbers too
            XSSFFormulaEvaluator.evaluateAllFormulaCells(xlsx.book);
            xlsx.book.setForceFormulaRecalculation(true);
            var out = new ByteArrayOutputStream();
            xlsx.book.write(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Row row(Sheet sheet, String... texts) {
        Row row = sheet.createRow(next++);
        for (int i = 0; i < texts.length; i++) {
            if (!texts[i].isEmpty()) {
                row.createCell(i).setCellValue(texts[i]);
            }
        }
        return row;
    }

    private void headed(Sheet sheet, String... texts) {
        row(sheet, texts).forEach(c -> c.setCellStyle(head));
    }

    private static String at(Row row, int column) {
        return new CellReference(row.getRowNum(), column).formatAsString();
    }

    private void materials() {
        headed(takeOff, "Zone", "Layer", "Material", "Colour", "Takes", "", "As read", "");
        for (Buying b : read.takeOff().bill().materials()) {
            int from = next + 1;
            for (Buying.Use use : b.uses()) {
                Row row = row(takeOff, use.where(), use.title(), b.sheet(), b.colour());
                String cell = working.write(use.where() + ", " + use.title() + ": " + b.sheet(), use.amount());
                amount(row, cell, use.amount());
            }
            int to = next;
            Row all = row(takeOff, "", "all together", b.sheet(), b.colour());
            String total = amount(all, "SUM(E" + from + ":E" + to + ")", b.amount());
            var less = new StringBuilder();
            less(b, "on the site", b.onSite().value(), less);
            less(b, "ordered, on its way", b.ordered().value(), less);
            b.store().forEach(s -> less(b, "left over, " + s.from(), s.amount().value(), less));
            Row buy = row(takeOff, "", "to buy", b.sheet(), b.colour());
            buy.getCell(1).setCellStyle(head);
            toBuy.put(b, "'Take-off'!" + amount(buy, "MAX(0," + total + less + ")", b.toBuy()));
            next++;
        }
    }

    private void less(Buying b, String what, double amount, StringBuilder formula) {
        if (amount > 0) {
            Row row = row(takeOff, "", what, b.sheet(), b.colour());
            formula.append("-").append(amount(row, Double.toString(amount), b.amount()));
        }
    }

    /** The amount in its own unit, and as the job reads it. @return where it stands */
    private String amount(Row row, String formula, Figure like) {
        Unit own = like.unit();
        Unit reads = like.unitRead();
        row.createCell(AMOUNT).setCellFormula(formula);
        row.createCell(AMOUNT + 1).setCellValue(own.code());
        String cell = at(row, AMOUNT);
        row.createCell(READ).setCellFormula(cell + "*" + own.toBase(1) + "/" + reads.toBase(1));
        row.createCell(READ + 1).setCellValue(reads.code());
        return cell;
    }

    private void small() {
        headed(takeOff, "Beside the materials");
        for (Sundry s : read.takeOff().bill().sundries()) {
            Row row = row(takeOff, s.label());
            String cell = working.write(s.label(), s.count());
            row.createCell(AMOUNT).setCellFormula(cell);
            counts.put(s.id(), "'Take-off'!" + at(row, AMOUNT));
        }
    }

    private void orders() {
        next = 0;
        String currency = read.takeOff().bill().currency();
        String cost = currency.isEmpty() ? "Cost" : "Cost, " + currency;
        headed(order, "Supplier", "What", "Colour", "Pack", "Holds", "How many", "Each", cost);
        var totals = new ArrayList<String>();
        Map<Buying, List<String>> held = new HashMap<>();
        for (Bill.SupplierList list : read.takeOff().bill().suppliers()) {
            int from = next + 1;
            for (Bill.OrderLine l : list.lines()) {
                line(list.supplier(), l, held);
            }
            Row sum = row(order, list.supplier(), "all of this list");
            sum.getCell(1).setCellStyle(head);
            sum.createCell(7).setCellFormula("SUM(H" + from + ":H" + (sum.getRowNum()) + ")");
            totals.add(at(sum, 7));
            next++;
        }
        Row all = row(order, "", "all of it");
        all.getCell(1).setCellStyle(head);
        all.createCell(7).setCellFormula(totals.isEmpty() ? "0" : String.join("+", totals));
        next++;
        headed(order, "Do the packs hold enough?");
        held.forEach((b, packs) -> {
            Row row = row(order, "", b.sheet(), b.colour());
            row.createCell(AMOUNT)
                    .setCellFormula("IF(" + String.join("+", packs) + ">=" + toBuy.get(b) + "-1E-6,\"" + ENOUGH
                            + "\",\"" + SHORT + "\")");
        });
    }

    private void line(String supplier, Bill.OrderLine l, Map<Buying, List<String>> held) {
        Row row = row(order, supplier, l.title(), l.colour(), l.pack());
        if (!l.size().isNothing()) {
            row.createCell(4).setCellValue(l.size().amount());
        }
        Cell number = row.createCell(5);
        String counted = counts.get(l.what());
        if (l.size().isNothing() && counted != null) {
            number.setCellFormula(counted);
        } else {
            number.setCellValue(l.count());
        }
        row.createCell(6).setCellValue(l.eachCents() / 100.0);
        row.createCell(7).setCellFormula(at(row, 5) + "*" + at(row, 6));
        read.takeOff().bill().materials().stream()
                .filter(b -> b.slug().equals(l.what()) && b.colour().equals(l.colour()))
                .forEach(b -> held.computeIfAbsent(b, k -> new ArrayList<>()).add(at(row, 4) + "*" + at(row, 5)));
    }
}
