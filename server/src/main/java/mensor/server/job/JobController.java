package mensor.server.job;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.server.people.Actor;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Jobs, with how many welds each has. */
@RestController
@RequestMapping("/api/jobs")
class JobController {
    private final Jobs jobs;
    private final WeldCounts welds;

    JobController(Jobs jobs, WeldCounts welds) {
        this.jobs = jobs;
        this.welds = welds;
    }

    record JobView(UUID id, JobForm form, long welds, long version) {}

    record JobChange(JobForm form, long version) {}

    @GetMapping
    List<JobView> all() {
        Map<UUID, Long> counts = welds.byJob();
        return jobs.all().stream()
                .map(j -> new JobView(j.id(), jobs.form(j), counts.getOrDefault(j.id(), 0L), j.version()))
                .toList();
    }

    @GetMapping("/{id}")
    JobView one(@PathVariable UUID id) {
        return view(jobs.get(id));
    }

    @PostMapping
    JobView create(@AuthenticationPrincipal Actor actor, @RequestBody JobForm form) {
        return view(jobs.create(actor, form));
    }

    @PutMapping("/{id}")
    JobView change(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody JobChange change) {
        return view(jobs.change(actor, id, change.version(), change.form(), welds.ofJob(id) > 0));
    }

    private JobView view(StoredJob j) {
        return new JobView(j.id(), jobs.form(j), welds.ofJob(j.id()), j.version());
    }
}
