package mensor.server.jobarchive;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.UUID;
import mensor.server.job.Jobs;
import mensor.server.people.Actor;
import mensor.server.web.UploadedFile;
import org.springframework.core.io.InputStreamResource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

/** A whole job as one file ({@code mensor-job/1}), out and in. */
@RestController
class JobArchiveController {
    private final JobArchives archives;
    private final Jobs jobs;

    JobArchiveController(JobArchives archives, Jobs jobs) {
        this.archives = archives;
        this.jobs = jobs;
    }

    @GetMapping(path = "/api/jobs/{id}/archive", produces = "application/zip")
    ResponseEntity<InputStreamResource> archive(@AuthenticationPrincipal Actor actor, @PathVariable UUID id)
            throws IOException {
        Path zip = archives.archive(actor, id);
        long bytes = Files.size(zip);
        return ResponseEntity.ok()
                .contentLength(bytes)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(jobs.get(id).name().replaceAll("[^A-Za-z0-9._-]+", "-") + ".mensor-job.zip")
                                .build()
                                .toString())
                .body(new InputStreamResource(Files.newInputStream(zip, StandardOpenOption.DELETE_ON_CLOSE)));
    }

    /** The body is the archive's bytes. */
    @UploadedFile
    @PostMapping("/api/jobs/archive")
    JobArchives.BroughtIn bring(@AuthenticationPrincipal Actor actor, HttpServletRequest request) throws IOException {
        return archives.bring(actor, request.getInputStream());
    }
}
