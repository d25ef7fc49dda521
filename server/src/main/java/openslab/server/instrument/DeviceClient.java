package openslab.server.instrument;

import java.net.URI;
import java.net.http.HttpClient;
import java.time.Duration;
import openslab.core.quantity.InvalidInput;
import openslab.core.quantity.Refusal;
import org.springframework.http.client.JdkClientHttpRequestFactory;
import org.springframework.stereotype.Component;
import org.springframework.web.client.RestClient;
import org.springframework.web.client.RestClientException;

/** Asks an instrument over HTTP. */
@Component
class DeviceClient {
    private static final Duration PATIENCE = Duration.ofSeconds(3);

    private final RestClient http;

    DeviceClient() {
        var requests = new JdkClientHttpRequestFactory(
                HttpClient.newBuilder().connectTimeout(PATIENCE).build());
        requests.setReadTimeout(PATIENCE);
        http = RestClient.builder().requestFactory(requests).build();
    }

    /** @throws InvalidInput naming {@code field}, unless this is an address on this network */
    static String address(String field, String text) {
        String trimmed = text == null ? "" : text.strip().replaceFirst("/+$", "");
        if (!trimmed.isEmpty() && !trimmed.matches("https?://[A-Za-z0-9.:\\[\\]-]+(/[A-Za-z0-9._~/-]*)?")) {
            throw new InvalidInput(
                    field, trimmed, "an address such as http://192.168.1.20/probe, or nothing for one read by eye");
        }
        if (trimmed.length() > 200) {
            throw new InvalidInput(field, trimmed.length() + " characters", "at most 200 characters");
        }
        return trimmed;
    }

    Device.Description describe(String address) {
        Device.Description said = get(address, "", Device.Description.class);
        if (!Device.FORMAT.equals(said.format())) {
            throw silent(address, "it does not answer as an instrument does");
        }
        return said;
    }

    Device.Page samples(String address, long after, int most) {
        return get(address, "/samples?after=" + after + "&most=" + most, Device.Page.class);
    }

    private <T> T get(String address, String path, Class<T> as) {
        try {
            T said = http.get().uri(URI.create(address + path)).retrieve().body(as);
            if (said == null) {
                throw silent(address, "it answered nothing");
            }
            return said;
        } catch (RestClientException e) {
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
