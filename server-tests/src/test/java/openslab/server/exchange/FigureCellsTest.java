package openslab.server.exchange;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import org.apache.poi.ss.formula.FormulaParser;
import org.apache.poi.ss.formula.FormulaType;
import org.apache.poi.ss.formula.ptg.FuncVarPtg;
import org.apache.poi.ss.usermodel.Cell;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.xssf.usermodel.XSSFEvaluationWorkbook;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Formulas of a sheet, worked out by POI's own engine. */
public class FigureCellsTest {
    @DataProvider
    Object[][] zones() {
        return new Object[][] {{1}, {2}, {255}, {256}, {600}};
    }

    /** A function takes 255 arguments at once (ECMA-376, from memory); a job may have more floors. */
    @Test(dataProvider = "zones")
    public void the_most_of_any_number_of_floors_is_worked_out(int zones) throws Exception {
        var w = new Worksheet(UnitSystem.METRIC);
        var terms = new ArrayList<String>();
        for (int i = 0; i < zones; i++) {
            // the most stands in the middle
            terms.add("a" + i);
            w.given("a" + i, "floor " + i, 1000 - Math.abs(i - zones / 2), Unit.ONE);
        }
        String formula = "max(0," + String.join(",", terms) + ")+max(1,min(3,2))";
        Figure figure = w.figure("most", "m", formula, 1002, Unit.ONE, Source.arithmetic("the most"));
        try (var book = new XSSFWorkbook()) {
            Sheet sheet = book.createSheet("Working");
            new FigureCells(sheet, book.createCellStyle()).write("Most", figure);
            Cell last = null;
            for (Row row : sheet) {
                for (Cell cell : row) {
                    last = cell.getCellType() == CellType.FORMULA ? cell : last;
                }
            }
            double most = book.getCreationHelper()
                    .createFormulaEvaluator()
                    .evaluate(last)
                    .getNumberValue();
            assertEquals(most, 1002, 1e-9);
            var evaluation = XSSFEvaluationWorkbook.create(book);
            for (var ptg : FormulaParser.parse(last.getCellFormula(), evaluation, FormulaType.CELL, 0)) {
                if (ptg instanceof FuncVarPtg call) {
                    assertTrue(call.getNumberOfOperands() <= 255, call.getName() + " of " + call.getNumberOfOperands());
                }
            }
        }
    }
}
