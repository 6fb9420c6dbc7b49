package mensor.server.report;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import mensor.server.background.BackgroundQueue;
import mensor.server.background.BackgroundQueue.BackgroundWork;
import mensor.server.background.BackgroundWorker;
import mensor.server.background.Turn;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.web.Refusal;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.multipdf.PDFMergerUtility;
import org.apache.pdfbox.multipdf.PDFMergerUtility.DocumentMergeMode;
import org.springframework.stereotype.Component;
import org.springframework.util.FileSystemUtils;
import tools.jackson.databind.json.JsonMapper;

/**
 * Reports of many welds, made in the background one after the other. One weld is in memory at a time: what was made of those
 * before it is in a folder that is gone when the report is done.
 */
@Component
class ReportRuns implements BackgroundWorker {
    private static final Set<String> KINDS = Set.of("report");
    private static final int MOST_WAITING = 20;

    private final BackgroundQueue queue;
    private final WeldReports reports;
    private final People people;
    private final JsonMapper json;
    private final Clock clock;

    ReportRuns(BackgroundQueue queue, WeldReports reports, People people, JsonMapper json, Clock clock) {
        this.queue = queue;
        this.reports = reports;
        this.people = people;
        this.json = json;
        this.clock = clock;
    }

    @Override
    public Set<String> kinds() {
        return KINDS;
    }

    ReportView begin(Actor actor, String title, ReportForm form, int welds) {
        if (queue.waiting(KINDS) >= MOST_WAITING) {
            throw Refusal.conflict("many reports are being made already; wait until some are done");
        }
        return view(actor, queue.add("report", actor.id(), title, json.writeValueAsString(form), null, welds));
    }

    @Override
    public void work(Turn turn) {
        try {
            Path folder = Files.createTempDirectory("report");
            try {
                Path made = folder.resolve("made");
                if (write(turn, folder, made)) {
                    turn.finish(made);
                }
            } finally {
                FileSystemUtils.deleteRecursively(folder);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** @return whether it was made whole; not where it was stopped, or this node is to stop */
    private boolean write(Turn turn, Path folder, Path made) throws IOException {
        Actor actor = people.get(turn.person());
        ReportForm form = json.readValue(turn.wanted(), ReportForm.class);
        try (Pages pages = pages(form, turn.title(), folder, made)) {
            List<UUID> all = reports.welds(form.job(), form.lot());
            for (int done = 0; done < all.size(); done++) {
                if (!turn.goesOn(done, all.size())) {
                    return false;
                }
                pages.add(reports.of(actor, all.get(done)));
            }
            pages.end();
            return true;
        }
    }

    private Pages pages(ReportForm form, String title, Path folder, Path made) throws IOException {
        return switch (form.as()) {
            case "csv" -> new ReportFiles.Csv(Files.newBufferedWriter(made));
            case "json" -> new ReportFiles.Json(Files.newBufferedWriter(made), clock.instant(), json);
            default -> new Pdf(form.paper(), title, folder, made);
        };
    }

    /** A report as it grows, a weld at a time. */
    interface Pages extends AutoCloseable {
        void add(WeldReport weld) throws IOException;

        void end() throws IOException;

        @Override
        default void close() throws IOException {}
    }

    private static final class Pdf implements Pages {
        private final Paper paper;
        private final String title;
        private final Path folder;
        private final Path made;
        private final List<Path> parts = new ArrayList<>();
        private final List<WeldPage.Line> lines = new ArrayList<>();

        Pdf(Paper paper, String title, Path folder, Path made) {
            this.paper = paper;
            this.title = title;
            this.folder = folder;
            this.made = made;
        }

        private Path part(byte[] pages) throws IOException {
            return Files.write(folder.resolve(Integer.toString(parts.size())), pages);
        }

        @Override
        public void add(WeldReport w) throws IOException {
            parts.add(part(paper.printOnOnePage(w.name(), title + " · " + w.name(), WeldPage.of(w))));
            lines.add(WeldPage.Line.of(w));
        }

        @Override
        public void end() throws IOException {
            parts.add(0, part(paper.print(title, title, WeldPage.summary(title, lines))));
            PDFMergerUtility merger = new PDFMergerUtility();
            merger.setDocumentMergeMode(DocumentMergeMode.OPTIMIZE_RESOURCES_MODE);
            merger.setDestinationFileName(made.toString());
            for (Path part : parts) {
                merger.addSource(part.toFile());
            }
            merger.mergeDocuments(IOUtils.createTempFileOnlyStreamCache());
        }
    }

    private ReportView view(BackgroundWork work) {
        return ReportView.of(work, json.readValue(work.wanted(), ReportForm.class));
    }

    List<ReportView> of(Actor actor) {
        return queue.of(actor.id(), KINDS).stream().map(this::view).toList();
    }

    ReportView view(Actor actor, UUID id) {
        return queue.find(actor.id(), id)
                .filter(w -> KINDS.contains(w.kind()))
                .map(this::view)
                .orElseThrow(() ->
                        Refusal.notFound("there is no such report; it was made anew, or is older than two hours"));
    }

    void stop(Actor actor, UUID id) {
        view(actor, id);
        queue.stop(actor.id(), id);
    }

    byte[] file(Actor actor, UUID id) {
        view(actor, id);
        return queue.made(id).orElseThrow(() -> Refusal.conflict("the report is not made yet"));
    }
}
