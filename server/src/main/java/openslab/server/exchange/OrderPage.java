package openslab.server.exchange;

import java.math.BigDecimal;
import java.util.stream.Collectors;
import openslab.core.buy.Bill;
import openslab.core.buy.Buying;
import openslab.server.buy.TakeOffs;
import openslab.server.job.JobStore;

/** What is to be ordered, on paper: one list a supplier, and what is taken from the store. */
final class OrderPage {
    private final PrintedPage page;

    private OrderPage(PrintedPage page) {
        this.page = page;
    }

    static String of(TakeOffs.Read read) {
        var page = new PrintedPage(
                read.job().stored().facts(), "Order list", read.job().now());
        return new OrderPage(page).written(read);
    }

    private String written(TakeOffs.Read read) {
        Bill bill = read.takeOff().bill();
        if (read.all().size() > 1) {
            page.tag(
                    "p",
                    "Bought together for "
                            + read.all().stream()
                                    .map((JobStore.StoredJob j) -> j.facts().name())
                                    .collect(Collectors.joining(", "))
                            + ".");
        }
        if (bill.suppliers().isEmpty()) {
            page.tag("p", "Nothing is to be ordered.");
        }
        bill.suppliers().forEach(list -> list(list, bill.currency()));
        if (bill.suppliers().size() > 1) {
            page.tag("p", "All of it: " + (bill.cost().text() + " " + bill.currency()).strip() + ".");
        }
        if (bill.unpriced() > 0) {
            page.tag("p", bill.unpriced() + " of the lines have no price noted, and are not in the sums.");
        }
        store(bill);
        page.tag(
                "p class=\"caution\"",
                "On arrival, before it is signed for: maker, lot, date and shade of every label; lids off, no lumps, no skin.");
        return page.done();
    }

    private void list(Bill.SupplierList list, String currency) {
        page.tag("h2", list.supplier().isEmpty() ? "No supplier noted" : list.supplier());
        page.head("How many", "Pack", "What", "Colour", "Each", currency.isEmpty() ? "Cost" : "Cost, " + currency);
        for (Bill.OrderLine l : list.lines()) {
            page.row(
                    String.valueOf(l.count()), l.pack(), l.title(), l.colour(), money(l.eachCents()), money(l.cents()));
        }
        page.row("", "", "All of this list", "", "", money(list.cents()));
        page.endTable();
    }

    private void store(Bill bill) {
        boolean any = bill.materials().stream().anyMatch(b -> !b.store().isEmpty());
        if (!any) {
            return;
        }
        page.tag("h2", "From the store");
        page.head("How much", "What", "Lot", "Left from");
        for (Buying b : bill.materials()) {
            b.store().forEach(s -> page.row(s.amount().text(), b.sheet(), s.lot(), s.from()));
        }
        page.endTable();
    }

    private static String money(long cents) {
        return cents == 0 ? "" : BigDecimal.valueOf(cents, 2).toPlainString();
    }
}
