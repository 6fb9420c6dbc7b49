package mensor.server.weldlist;

import java.nio.charset.StandardCharsets;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.spreadsheet.Spreadsheet;
import mensor.server.web.Refusal;
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
import org.springframework.web.bind.annotation.RequestParam;
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

    /** @param as csv, or xlsx */
    @GetMapping("/jobs/{job}/weld-list")
    ResponseEntity<byte[]> export(@PathVariable UUID job, @RequestParam(defaultValue = "csv") String as) {
        String list = lists.export(job);
        return switch (as) {
            case "csv" -> answer(list.getBytes(StandardCharsets.UTF_8), "text/csv;charset=UTF-8", as);
            case "xlsx" ->
                answer(
                        Spreadsheet.of(list, "welds"),
                        "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
                        as);
            default -> throw Refusal.invalid("as", "csv or xlsx");
        };
    }

    private static ResponseEntity<byte[]> answer(byte[] file, String type, String as) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"weld-list." + as + "\"")
                .contentType(MediaType.parseMediaType(type))
                .body(file);
    }
}
