package openslab.server.form;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a person sends about everything that goes on in a cycle: a system to take it from, or the layers one by one.
 *
 * @param system the id of the system; empty together with {@code layers} where it is no system any more
 * @param with ids of its optional layers that are wanted too
 * @param layers from the floor upward; left out where the system's own are taken
 */
public record BuildUpForm(@Nullable String system, @Nullable List<String> with, @Nullable List<LayerForm> layers) {}
