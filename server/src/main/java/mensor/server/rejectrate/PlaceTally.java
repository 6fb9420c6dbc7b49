package mensor.server.rejectrate;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** How many places of an inspection were rejected for one trouble, with the cause that led. */
@Entity
@Table(name = "place_tally")
class PlaceTally {
    @Id
    private UUID id;

    @Column(name = "inspection_id", insertable = false, updatable = false)
    private UUID inspectionId;

    private String trouble;
    private String cause;
    private int places;

    protected PlaceTally() {}

    PlaceTally(String trouble, String cause, int places) {
        this.id = UUID.randomUUID();
        this.trouble = trouble;
        this.cause = cause;
        this.places = places;
    }
}
