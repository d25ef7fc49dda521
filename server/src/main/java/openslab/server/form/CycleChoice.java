package openslab.server.form;

import java.time.Instant;
import java.util.Optional;
import openslab.core.job.CycleKind;
import openslab.core.job.Patch;

/** A cycle form that was read. */
public record CycleChoice(CycleKind kind, Instant began, String by, String why, Optional<Patch> patch) {}
