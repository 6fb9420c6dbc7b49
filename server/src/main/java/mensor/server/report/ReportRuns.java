package mensor.server.report;

import jakarta.annotation.PreDestroy;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import mensor.server.db.WhichDatabase;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.report.ReportQueue.ReportView;
import mensor.server.report.ReportQueue.Wanted;
import mensor.server.web.Refusal;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.io.RandomAccessReadBuffer;
import org.apache.pdfbox.multipdf.PDFMergerUtility;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Reports of many welds, made in the background one after the other; each shows how far it is and can be stopped. */
@Component
class ReportRuns {
    private static final Logger LOG = LoggerFactory.getLogger(ReportRuns.class);
    /** A finished report is kept as long as somebody may come for it. */
    private static final Duration KEPT = Duration.ofHours(2);

    private static final int MOST_WAITING = 20;
    private static final long PROGRESS_EVERY = TimeUnit.MILLISECONDS.toNanos(300);

    private final ReportQueue queue;
    private final WeldReports reports;
    private final People people;
    private final JsonMapper json;
    private final Clock clock;
    private final boolean alone;
    private final UUID node = UUID.randomUUID();
    private volatile boolean closing;
    private final ScheduledExecutorService worker = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "reports");
        thread.setDaemon(true);
        return thread;
    });

    ReportRuns(
            ReportQueue queue,
            WeldReports reports,
            People people,
            JsonMapper json,
            Clock clock,
            @Value("${mensor.db}") String db) {
        this.queue = queue;
        this.reports = reports;
        this.people = people;
        this.json = json;
        this.clock = clock;
        this.alone = WhichDatabase.isEmbedded(db);
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        if (alone) {
            queue.beginAgain();
        }
        worker.scheduleWithFixedDelay(this::workOff, 0, 1, TimeUnit.SECONDS);
    }

    ReportView begin(Actor actor, String title, ReportForm form, int welds) {
        queue.forgetBefore(clock.instant().minus(KEPT));
        if (queue.waiting() >= MOST_WAITING) {
            throw Refusal.conflict("many reports are being made already; wait until some are done");
        }
        UUID id = queue.add(actor.id(), title, form, welds);
        worker.execute(this::workOff);
        return view(actor, id);
    }

    private void workOff() {
        try {
            for (Optional<Wanted> next = next(); next.isPresent(); next = next()) {
                make(next.get());
            }
        } catch (RuntimeException e) {
            LOG.error("the reports that wait could not be read", e);
        }
    }

    private Optional<Wanted> next() {
        return closing ? Optional.empty() : queue.take(node);
    }

    private void make(Wanted wanted) {
        try {
            byte[] file = file(wanted);
            if (file != null) {
                queue.finish(wanted.id(), node, file);
            } else {
                queue.end(wanted.id(), node, closing ? "waiting" : "stopped");
            }
        } catch (RuntimeException e) {
            if (!closing) {
                LOG.error("the report {} failed", wanted.title(), e);
            }
            queue.end(wanted.id(), node, closing ? "waiting" : "failed");
        }
    }

    /** The report; null where it was stopped, or this node is to stop. */
    private byte[] file(Wanted wanted) {
        Actor actor = people.get(wanted.person());
        ReportForm form = wanted.form();
        List<UUID> all = reports.welds(form.job(), form.lot());
        List<WeldReport> welds = new ArrayList<>();
        List<byte[]> pages = new ArrayList<>();
        List<WeldPage.Line> lines = new ArrayList<>();
        Paper paper = form.paper();
        long told = System.nanoTime() - PROGRESS_EVERY;
        for (int done = 0; done < all.size(); done++) {
            if (System.nanoTime() - told >= PROGRESS_EVERY) {
                if (closing || !queue.progress(wanted.id(), node, done, all.size())) {
                    return null;
                }
                told = System.nanoTime();
            }
            WeldReport w = reports.of(actor, all.get(done));
            if (form.as().equals("pdf")) {
                pages.add(paper.printOnOnePage(w.name(), wanted.title() + " · " + w.name(), WeldPage.of(w)));
                lines.add(WeldPage.Line.of(w));
            } else {
                welds.add(w);
            }
        }
        return switch (form.as()) {
            case "csv" -> ReportFiles.csv(welds).getBytes(StandardCharsets.UTF_8);
            case "json" -> ReportFiles.json(welds, clock.instant(), json).getBytes(StandardCharsets.UTF_8);
            default -> {
                pages.add(0, paper.print(wanted.title(), wanted.title(), WeldPage.summary(wanted.title(), lines)));
                yield merged(pages);
            }
        };
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
        return queue.of(actor.id());
    }

    ReportView view(Actor actor, UUID id) {
        return queue.find(actor.id(), id)
                .orElseThrow(() ->
                        Refusal.notFound("there is no such report; it was made anew, or is older than two hours"));
    }

    void stop(Actor actor, UUID id) {
        view(actor, id);
        queue.stop(actor.id(), id);
    }

    byte[] file(Actor actor, UUID id) {
        view(actor, id);
        return queue.file(id).orElseThrow(() -> Refusal.conflict("the report is not made yet"));
    }

    /** What is under way is begun again by the next start, or by another node. */
    @PreDestroy
    void close() throws InterruptedException {
        closing = true;
        worker.shutdown();
        if (!worker.awaitTermination(10, TimeUnit.SECONDS)) {
            worker.shutdownNow();
        }
    }
}
