package openslab.server.form;

import java.time.LocalDate;
import openslab.core.quantity.Faults;
import openslab.core.survey.instrument.Instrument;
import openslab.core.survey.instrument.InstrumentKind;

/**
 * What a reading was taken with.
 *
 * @param calibrated a day such as 2026-03-01; {@code due} likewise
 */
public record PapersForm(String name, String calibrated, String due) {
    public static PapersForm of(Instrument i) {
        return new PapersForm(i.name(), i.calibrated().toString(), i.due().toString());
    }

    /** An instrument's name and papers; null where one of them is at fault. @param path before the names of the fields */
    public Instrument read(Faults faults, String path) {
        LocalDate from = faults.day(path + "calibrated", calibrated);
        return read(faults, path, from, faults.day(path + "due", due));
    }

    /** Likewise, where its paper may say nothing of how long it holds. */
    public Instrument read(Faults faults, String path, InstrumentKind kind) {
        LocalDate from = faults.day(path + "calibrated", calibrated);
        boolean said = Said.is(due) || from == null;
        return read(faults, path, from, said ? faults.day(path + "due", due) : kind.until(from));
    }

    private Instrument read(Faults faults, String path, LocalDate from, LocalDate to) {
        String readName = faults.line(path + "name", name, 1, 60);
        if (from != null && to != null && to.isBefore(from)) {
            faults.add(path + "due", due, "a day not before the calibration of " + from);
        }
        return readName == null || from == null || to == null ? null : new Instrument(readName, from, to);
    }
}
