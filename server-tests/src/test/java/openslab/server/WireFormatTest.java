package openslab.server;

import static org.testng.Assert.assertEquals;

import openslab.core.quantity.Figure;
import openslab.core.quantity.Source;
import openslab.core.quantity.Unit;
import openslab.core.quantity.UnitSystem;
import openslab.core.quantity.Worksheet;
import openslab.server.web.WireFormat;
import org.testng.annotations.Test;
import tools.jackson.databind.ObjectMapper;

/** A figure is written field by field, and must say what its view says. */
public class WireFormatTest {
    @Test
    public void a_figure_is_written_as_its_view_is() {
        var app = App.start(App.emptyFolder(), "--clock=2026-05-04T12:00:00Z");
        try {
            ObjectMapper json = app.bean(ObjectMapper.class);
            var w = new Worksheet(UnitSystem.US);
            w.given("M", "weight \"gained\"", 2.5, Unit.GRAM);
            w.given("l", "a length in the other system", 1.25, Unit.METRE);
            w.let("t", "twice", "2·M", 5, Unit.GRAM);
            Figure figure = w.figure("sum", "S", "M+t", 7.5, Unit.GRAM, Source.published("a <table>"));
            assertEquals(json.writeValueAsString(figure), json.writeValueAsString(WireFormat.FigureView.of(figure)));
            assertEquals(
                    json.readTree(json.writeValueAsString(figure))
                            .path("steps")
                            .path(1)
                            .path("also")
                            .asString(),
                    "4.10\u00a0ft");
        } finally {
            app.close();
        }
    }
}
