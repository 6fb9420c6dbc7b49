package mensor.server.practice;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;

/** A weld that somebody practices on or judges in a study. A made-up one's seed is its truth: it never leaves the server before the exercise is handed in. */
@Entity
@Table(name = "exercise")
class ExerciseEntity {
    static final int LONGEST = 200_000;

    @Id
    private UUID id;

    private UUID personId;
    private long seed;
    private String setting;

    @Column(length = LONGEST)
    private String content;

    private Instant begunAt;
    private Instant handedAt;
    private UUID studyId;
    private Integer subject;
    private Integer pass;
    private Integer place;

    @Column(length = LONGEST)
    private String weld;

    @Version
    private Long version;

    protected ExerciseEntity() {}

    ExerciseEntity(UUID id, UUID person, long seed, String setting, String content, Instant at) {
        this.id = id;
        this.personId = person;
        this.seed = seed;
        this.setting = setting;
        this.content = content;
        this.begunAt = at;
    }

    /**
     * The exercise is one of a study's.
     *
     * @param newSubject which weld of the study
     * @param newPass 1 the first time that the person sees it, 2 the second
     * @param newPlace when in the person's own order
     */
    void setStudy(UUID study, int newSubject, int newPass, int newPlace) {
        studyId = study;
        subject = newSubject;
        pass = newPass;
        place = newPlace;
    }

    /** The weld is a real one, as {@link RealWeld}. */
    void setWeld(String real) {
        weld = real;
    }

    void setContent(String newContent) {
        content = newContent;
    }

    void handIn(Instant at) {
        handedAt = at;
    }

    /** Absent where it is made up from the seed. */
    String weld() {
        return weld;
    }

    /** 0 before it is stored. */
    long version() {
        return version == null ? 0 : version;
    }

    UUID id() {
        return id;
    }

    UUID personId() {
        return personId;
    }

    long seed() {
        return seed;
    }

    String setting() {
        return setting;
    }

    String content() {
        return content;
    }

    Instant begunAt() {
        return begunAt;
    }

    Instant handedAt() {
        return handedAt;
    }

    boolean isHandedIn() {
        return handedAt != null;
    }

    UUID studyId() {
        return studyId;
    }

    int subject() {
        return subject;
    }

    int pass() {
        return pass;
    }

    int place() {
        return place;
    }
}
