package openslab.server.instrument;

import java.net.URI;
import java.net.URISyntaxException;
import java.net.http.HttpClient;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Refusal;
import openslab.core.quantity.Text;
import org.springframework.http.client.JdkClientHttpRequestFactory;
import org.springframework.stereotype.Component;
import org.springframework.web.client.RestClient;
import org.springframework.web.client.RestClientException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.json.JsonMapper;

/** Asks an instrument over HTTP. */
@Component
class DeviceClient {
    private static final Duration PATIENCE = Duration.ofSeconds(3);
    private static final int LONGEST = 200;
    private static final int MOST_PORT = 65_535;
    /** More than this no page of samples is. */
    private static final int MOST_BYTES = 8 << 20;

    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_CHANNEL = 40;
    private static final int MOST_CHANNELS = 500;
    private static final Instant EARLIEST = Instant.parse("1970-01-01T00:00:00Z");
    private static final Instant LATEST = Instant.parse("2200-01-01T00:00:00Z");

    private final RestClient http;
    private final ObjectMapper json;

    DeviceClient() {
        // of any make: what one says beyond the format is its own affair
        json = JsonMapper.builder()
                .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
                .build();
        var requests = new JdkClientHttpRequestFactory(
                HttpClient.newBuilder().connectTimeout(PATIENCE).build());
        requests.setReadTimeout(PATIENCE);
        http = RestClient.builder().requestFactory(requests).build();
    }

    /** @throws InvalidInput naming {@code field}, unless this is an address on this network */
    static String address(String field, String text) {
        String trimmed = text == null ? "" : text.strip();
        if (trimmed.length() > LONGEST) {
            throw new InvalidInput(field, trimmed.length() + " characters", "at most " + LONGEST + " characters");
        }
        while (trimmed.endsWith("/")) {
            trimmed = trimmed.substring(0, trimmed.length() - 1);
        }
        if (!trimmed.isEmpty() && !isAddress(trimmed)) {
            throw new InvalidInput(
                    field, text, "an address such as http://192.168.1.20/probe, or nothing for one read by eye");
        }
        return trimmed;
    }

    /** A scheme, a host that is a name or a number, a port that exists, a path; nothing else. */
    private static boolean isAddress(String text) {
        try {
            URI uri = new URI(text);
            String scheme = uri.getScheme() == null ? "" : uri.getScheme();
            return (scheme.equals("http") || scheme.equals("https"))
                    && uri.getHost() != null
                    && uri.getUserInfo() == null
                    && uri.getQuery() == null
                    && uri.getFragment() == null
                    && uri.getPort() != 0
                    && uri.getPort() <= MOST_PORT;
        } catch (URISyntaxException e) {
            return false;
        }
    }

    Device.Description describe(String address) {
        Device.Description said = get(address, "", Device.Description.class);
        if (!Device.FORMAT.equals(said.format())) {
            throw silent(address, "it does not answer as an instrument does");
        }
        List<Device.ChannelPart> channels = said.channels() == null ? List.of() : said.channels();
        boolean named = said.name() != null && said.name().length() <= LONGEST_NAME && Text.isLine(said.name());
        boolean told = channels.size() <= MOST_CHANNELS
                && channels.stream().allMatch(c -> c != null && isChannel(c.id()) && c.quantity() != null);
        if (!named || !told) {
            throw silent(address, "it does not say its name and channels as an instrument does");
        }
        return new Device.Description(
                said.format(), said.name(), said.serial(), said.kind(), said.calibrated(), said.due(), channels);
    }

    /** Whether a channel may be called so. */
    static boolean isChannel(String name) {
        return name != null && !name.isBlank() && name.length() <= LONGEST_CHANNEL && Text.isLine(name);
    }

    /** @throws Refusal where it does not count its samples upwards, or one has no moment that a clock could show */
    Device.Page samples(String address, long after, int most) {
        Device.Page page = get(address, "/samples?after=" + after + "&most=" + most, Device.Page.class);
        List<Device.SamplePart> samples = page.samples() == null ? List.of() : page.samples();
        long before = after;
        for (Device.SamplePart s : samples) {
            if (s == null || s.n() <= before) {
                throw silent(address, "it does not count its samples upwards");
            }
            before = s.n();
            boolean dated = s.at() != null && s.at().isAfter(EARLIEST) && s.at().isBefore(LATEST);
            if (!dated || !isChannel(s.channel())) {
                throw silent(address, "sample " + s.n() + " has no moment, or no channel");
            }
        }
        return new Device.Page(samples, page.more());
    }

    private <T> T get(String address, String path, Class<T> as) {
        try {
            T said = http.get().uri(URI.create(address + path)).exchange((request, response) -> {
                if (!response.getStatusCode().is2xxSuccessful()) {
                    return null;
                }
                byte[] body = response.getBody().readNBytes(MOST_BYTES + 1);
                return body.length > MOST_BYTES ? null : json.readValue(body, as);
            });
            if (said == null) {
                throw silent(address, "it answered nothing, or more than can be taken");
            }
            return said;
        } catch (RestClientException | JacksonException e) {
            throw silent(address, "nobody answers there, or not as an instrument does");
        }
    }

    private static Refusal silent(String address, String why) {
        return new Refusal(
                "instrument-silent",
                "The instrument at " + address + " cannot be read: " + why + ".",
                "Look whether it is switched on and on the same network, then try again. What it wrote down stays in it.");
    }
}
