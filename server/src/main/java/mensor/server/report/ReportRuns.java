package mensor.server.report;

import jakarta.annotation.PreDestroy;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import mensor.server.people.Actor;
import mensor.server.web.Refusal;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.multipdf.PDFMergerUtility;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Reports of many welds, made in the background one after the other; each shows how far it is and can be stopped. */
@Component
class ReportRuns {
    private static final Logger LOG = LoggerFactory.getLogger(ReportRuns.class);
    /** A finished report is kept as long as somebody may come for it. */
    private static final Duration KEPT = Duration.ofHours(2);

    private static final int MOST_WAITING = 20;

    private final WeldReports reports;
    private final JsonMapper json;
    private final Clock clock;
    private final Map<UUID, Run> runs = new ConcurrentHashMap<>();
    private final ExecutorService worker = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "reports");
        thread.setDaemon(true);
        return thread;
    });

    ReportRuns(WeldReports reports, JsonMapper json, Clock clock) {
        this.reports = reports;
        this.json = json;
        this.clock = clock;
    }

    private enum State {
        WAITING,
        RUNNING,
        STOPPED,
        DONE,
        FAILED
    }

    /** How far a report is: waiting, running, done, stopped or failed. */
    public record ReportView(
            UUID id,
            String title,
            String as,
            String state,
            int done,
            int welds,
            Instant asked,
            @Nullable Integer bytes) {}

    private static final class Run {
        private final UUID id = UUID.randomUUID();
        private final Actor actor;
        private final String title;
        private final ReportForm form;
        private final List<UUID> welds;
        private final Instant asked;
        private volatile State state = State.WAITING;
        private volatile int done;
        private volatile boolean stopped;
        private volatile byte[] file;

        Run(Actor actor, String title, ReportForm form, List<UUID> welds, Instant asked) {
            this.actor = actor;
            this.title = title;
            this.form = form;
            this.welds = welds;
            this.asked = asked;
        }

        ReportView view() {
            byte[] made = file;
            return new ReportView(
                    id,
                    title,
                    form.as(),
                    state.name().toLowerCase(Locale.ROOT),
                    done,
                    welds.size(),
                    asked,
                    made == null ? null : made.length);
        }
    }

    ReportView begin(Actor actor, String title, ReportForm form, List<UUID> welds) {
        forgetOld();
        long waiting =
                runs.values().stream().filter(r -> r.state == State.WAITING).count();
        if (waiting >= MOST_WAITING) {
            throw Refusal.conflict("many reports are being made already; wait until some are done");
        }
        Run run = new Run(actor, title, form, welds, clock.instant());
        runs.put(run.id, run);
        worker.submit(() -> make(run));
        return run.view();
    }

    private void forgetOld() {
        Instant before = clock.instant().minus(KEPT);
        runs.values().removeIf(r -> r.asked.isBefore(before) && r.state != State.RUNNING);
    }

    private void make(Run run) {
        if (run.stopped) {
            return;
        }
        run.state = State.RUNNING;
        try {
            List<WeldReport> welds = new ArrayList<>();
            List<byte[]> pages = new ArrayList<>();
            List<WeldPage.Line> lines = new ArrayList<>();
            Paper paper = run.form.paper();
            for (UUID weld : run.welds) {
                if (run.stopped) {
                    run.state = State.STOPPED;
                    return;
                }
                WeldReport w = reports.of(run.actor, weld);
                if (run.form.as().equals("pdf")) {
                    pages.add(paper.printOnOnePage(w.name(), run.title + " · " + w.name(), WeldPage.of(w)));
                    lines.add(WeldPage.Line.of(w));
                } else {
                    welds.add(w);
                }
                run.done++;
            }
            run.file = switch (run.form.as()) {
                case "csv" -> ReportFiles.csv(welds).getBytes(StandardCharsets.UTF_8);
                case "json" -> ReportFiles.json(welds, clock.instant(), json).getBytes(StandardCharsets.UTF_8);
                default -> {
                    pages.add(0, paper.print(run.title, run.title, WeldPage.summary(run.title, lines)));
                    yield merged(pages);
                }
            };
            run.state = run.stopped ? State.STOPPED : State.DONE;
        } catch (RuntimeException e) {
            LOG.error("the report {} failed", run.title, e);
            run.state = State.FAILED;
        }
    }

    private static byte[] merged(List<byte[]> pages) {
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            PDFMergerUtility merger = new PDFMergerUtility();
            merger.setDestinationStream(out);
            for (byte[] page : pages) {
                merger.addSource(new RandomAccessReadBuffer(new ByteArrayInputStream(page)));
            }
            merger.mergeDocuments(IOUtils.createMemoryOnlyStreamCache());
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    List<ReportView> of(Actor actor) {
        forgetOld();
        return runs.values().stream()
                .filter(r -> r.actor.id().equals(actor.id()))
                .map(Run::view)
                .sorted(Comparator.comparing(ReportView::asked).reversed())
                .toList();
    }

    private Run run(Actor actor, UUID id) {
        Run run = runs.get(id);
        if (run == null || !run.actor.id().equals(actor.id())) {
            throw Refusal.notFound("there is no such report; it was made anew, or is older than two hours");
        }
        return run;
    }

    ReportView view(Actor actor, UUID id) {
        return run(actor, id).view();
    }

    void stop(Actor actor, UUID id) {
        Run run = run(actor, id);
        run.stopped = true;
        if (run.state == State.WAITING) {
            run.state = State.STOPPED;
        }
    }

    byte[] file(Actor actor, UUID id) {
        byte[] file = run(actor, id).file;
        if (file == null) {
            throw Refusal.conflict("the report is not made yet");
        }
        return file;
    }

    @PreDestroy
    void close() {
        runs.values().forEach(r -> r.stopped = true);
        worker.shutdownNow();
    }
}
