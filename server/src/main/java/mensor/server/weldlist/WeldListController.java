package mensor.server.weldlist;

import java.util.UUID;
import mensor.server.people.Actor;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Lists of welds in and out of a job. */
@RestController
@RequestMapping("/api")
class WeldListController {
    private final WeldLists lists;

    WeldListController(WeldLists lists) {
        this.lists = lists;
    }

    /** Reads and checks a list; nothing is stored. */
    @PostMapping(
            value = "/jobs/{job}/weld-list",
            consumes = {MediaType.TEXT_PLAIN_VALUE, "text/csv"})
    WeldLists.ImportView begin(@AuthenticationPrincipal Actor actor, @PathVariable UUID job, @RequestBody String text) {
        return lists.begin(actor, job, text);
    }

    @GetMapping("/weld-lists/{id}")
    WeldLists.ImportView see(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return lists.see(actor, id);
    }

    @PostMapping("/weld-lists/{id}/store")
    WeldLists.ImportView store(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return lists.store(actor, id);
    }

    @DeleteMapping("/weld-lists/{id}")
    WeldLists.ImportView cancel(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return lists.cancel(actor, id);
    }

    @GetMapping(value = "/jobs/{job}/weld-list", produces = "text/csv")
    ResponseEntity<byte[]> export(@PathVariable UUID job) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"weld-list.csv\"")
                .contentType(new MediaType("text", "csv", java.nio.charset.StandardCharsets.UTF_8))
                .body(lists.export(job).getBytes(java.nio.charset.StandardCharsets.UTF_8));
    }
}
