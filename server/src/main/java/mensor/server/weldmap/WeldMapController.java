package mensor.server.weldmap;

import java.util.List;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.photo.PictureFile;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The weld map of a job. */
@RestController
@RequestMapping("/api/jobs/{job}/map")
class WeldMapController {
    private final WeldMaps maps;

    WeldMapController(WeldMaps maps) {
        this.maps = maps;
    }

    @GetMapping
    MapView of(@AuthenticationPrincipal Actor actor, @PathVariable UUID job) {
        return maps.of(actor, job);
    }

    /**
     * A drawing as PDF, PNG or JPEG.
     *
     * @param replaces the sheet that this is a newer revision of
     */
    @PutMapping(value = "/{sheet}", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    MapView add(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID job,
            @PathVariable UUID sheet,
            @RequestParam String name,
            @RequestParam(required = false) String revision,
            @RequestParam(required = false) UUID replaces,
            @RequestBody byte[] drawing) {
        WeldMaps.checkDraws(actor);
        maps.add(actor, job, sheet, new WeldMaps.SheetForm(name, revision, replaces), DrawingPages.of(drawing));
        return maps.of(actor, job);
    }

    @DeleteMapping("/{sheet}")
    MapView takeOff(@AuthenticationPrincipal Actor actor, @PathVariable UUID job, @PathVariable UUID sheet) {
        maps.setWithdrawn(actor, job, sheet, true);
        return maps.of(actor, job);
    }

    @PostMapping("/{sheet}/restore")
    MapView restore(@AuthenticationPrincipal Actor actor, @PathVariable UUID job, @PathVariable UUID sheet) {
        maps.setWithdrawn(actor, job, sheet, false);
        return maps.of(actor, job);
    }

    /** The sheet as a picture; it never changes under its id. */
    @GetMapping(
            value = "/{sheet}/picture",
            produces = {"image/png", "image/jpeg"})
    ResponseEntity<byte[]> picture(@PathVariable UUID job, @PathVariable UUID sheet) {
        PictureFile file = maps.picture(job, sheet);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(file.type()))
                .cacheControl(CacheControl.maxAge(java.time.Duration.ofDays(30)).cachePrivate())
                .body(file.bytes());
    }

    /** Shares of the sheet's width and height. */
    @AllOptional
    record PinForm(Double x, Double y) {}

    @PutMapping("/{sheet}/pins/{joint}")
    MapView pin(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID job,
            @PathVariable UUID sheet,
            @PathVariable UUID joint,
            @RequestBody PinForm form) {
        if (form.x() == null || form.y() == null) {
            throw Refusal.invalid("x", "a place on the sheet is required");
        }
        maps.pin(actor, job, sheet, joint, form.x(), form.y());
        return maps.of(actor, job);
    }

    @DeleteMapping("/{sheet}/pins/{joint}")
    MapView unpin(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID job,
            @PathVariable UUID sheet,
            @PathVariable UUID joint) {
        maps.takeOff(actor, job, sheet, joint);
        return maps.of(actor, job);
    }

    /** What a list placed, and what it could not. */
    record PlacedView(MapView map, List<String> left) {}

    /** A list with the columns mark, weld no, sheet, x, y: x and y from 0 to 1, from the left and from the top. */
    @PostMapping("/places")
    PlacedView place(@AuthenticationPrincipal Actor actor, @PathVariable UUID job, @RequestBody String list) {
        List<String> left = maps.place(actor, job, PlacesList.read(list));
        return new PlacedView(maps.of(actor, job), left);
    }
}
