package mensor.server.weldmap;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;

/** A sheet of a job's drawings in one revision. */
@Entity
@Table(name = "map_sheet")
class MapSheetEntity {
    @Id
    private UUID id;

    private UUID jobId;
    private String name;
    private String revision;
    private String sha256;
    private int width;
    private int height;
    private UUID replaces;
    private UUID addedBy;
    private Instant addedAt;
    private boolean withdrawn;

    @Version
    private Long version;

    protected MapSheetEntity() {}

    /** @param drawn its picture, as it is kept */
    MapSheetEntity(UUID id, UUID jobId, SheetName name, Drawn drawn, UUID replaces, UUID by, Instant at) {
        this.id = id;
        this.jobId = jobId;
        this.name = name.name();
        this.revision = name.revision();
        this.sha256 = drawn.sha256();
        this.width = drawn.width();
        this.height = drawn.height();
        this.replaces = replaces;
        this.addedBy = by;
        this.addedAt = at;
    }

    record SheetName(String name, String revision) {}

    record Drawn(String sha256, int width, int height) {}

    void setWithdrawn(boolean off) {
        withdrawn = off;
    }

    UUID id() {
        return id;
    }

    UUID jobId() {
        return jobId;
    }

    String name() {
        return name;
    }

    String revision() {
        return revision;
    }

    String sha256() {
        return sha256;
    }

    int width() {
        return width;
    }

    int height() {
        return height;
    }

    UUID replaces() {
        return replaces;
    }

    UUID addedBy() {
        return addedBy;
    }

    Instant addedAt() {
        return addedAt;
    }

    boolean isWithdrawn() {
        return withdrawn;
    }
}
