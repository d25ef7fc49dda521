package openslab.browser;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;

/** The packaged application as a process of its own, and a headless Chromium in front of it. */
final class Running implements AutoCloseable {
    static final String NOW = "2026-05-04T12:00:00Z";
    private static final String READY = "Open Slab is ready at ";

    final String address;
    /** What the pages complained of; a test ends by finding this empty. */
    final List<String> complaints = new ArrayList<>();

    private final Process process;
    private final Playwright playwright;
    private final Browser browser;
    private final List<BrowserContext> contexts = new ArrayList<>();

    /** @param more arguments, {@code --demo=true} say */
    static Running start(Path data, String... more) {
        try {
            return new Running(data, List.of(more));
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }

    static Path emptyFolder() {
        try {
            return Files.createTempDirectory("openslab-browser");
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }

    private Running(Path data, List<String> more) throws IOException {
        String java = Path.of(System.getProperty("java.home"), "bin", "java").toString();
        var command = new ArrayList<>(List.of(
                java,
                "-XX:TieredStopAtLevel=1",
                "-jar",
                System.getProperty("openslab.jar"),
                "--port=0",
                "--data=" + data,
                "--clock=" + NOW));
        command.addAll(more);
        process = new ProcessBuilder(command).redirectErrorStream(true).start();
        PlaywrightAssertions.setDefaultAssertionTimeout(15_000);
        address = addressSaidBy(process);
        playwright = Playwright.create();
        browser = playwright
                .chromium()
                .launch(new BrowserType.LaunchOptions()
                        .setExecutablePath(Path.of("/usr/bin/chromium"))
                        .setArgs(List.of(
                                "--no-sandbox",
                                "--disable-gpu",
                                "--disable-quic",
                                "--disable-background-networking",
                                "--disable-component-update",
                                "--disable-sync",
                                "--no-first-run")));
    }

    private static String addressSaidBy(Process process) throws IOException {
        var out = new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        var said = new StringBuilder();
        for (String line = out.readLine(); line != null; line = out.readLine()) {
            if (line.startsWith(READY)) {
                return line.substring(READY.length());
            }
            said.append(line).append('\n');
        }
        throw new AssertionError("the application did not start:\n" + said);
    }

    Page page(int width, int height) {
        boolean phone = width < 500;
        BrowserContext context = browser.newContext(new Browser.NewContextOptions()
                .setViewportSize(width, height)
                .setIsMobile(phone)
                .setHasTouch(phone)
                .setAcceptDownloads(true)
                .setReducedMotion(com.microsoft.playwright.options.ReducedMotion.REDUCE));
        contexts.add(context);
        context.setDefaultTimeout(20_000);
        Page page = context.newPage();
        page.onPageError(e -> complaints.add("page error: " + e));
        page.onConsoleMessage(m -> {
            // a refused form is answered with 4xx, which the browser notes by itself
            if (m.type().equals("error") && !m.text().contains("the server responded with a status of 4")) {
                complaints.add("console: " + m.text());
            }
        });
        return page;
    }

    /** Closes every page: one that nobody looks at any more still ticks, and slows those that follow. */
    void leave() {
        contexts.forEach(BrowserContext::close);
        contexts.clear();
    }

    @Override
    public void close() {
        browser.close();
        playwright.close();
        process.destroy();
        try {
            if (!process.waitFor(15, TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
