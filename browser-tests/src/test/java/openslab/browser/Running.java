package openslab.browser;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** The packaged application as a process of its own, and a headless Chromium in front of it. */
final class Running implements AutoCloseable {
    static final String NOW = Served.NOW;

    final String address;
    /** What the pages complained of; a test ends by finding this empty. */
    final List<String> complaints = new ArrayList<>();

    private final Served served;
    private final Playwright playwright;
    private final Browser browser;
    private final List<BrowserContext> contexts = new ArrayList<>();

    /** @param more arguments, {@code --demo=true} say */
    static Running start(Path data, String... more) {
        return new Running(data, more);
    }

    /** On a copy of the demo's data, which one start has laid for all. */
    static Running demo() {
        return start(Demo.copy(), "--demo=true");
    }

    static Path emptyFolder() {
        try {
            return Files.createTempDirectory("openslab-browser");
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }

    private Running(Path data, String... more) {
        served = Served.start(data, more);
        address = served.address;
        PlaywrightAssertions.setDefaultAssertionTimeout(15_000);
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
        served.close();
    }
}
