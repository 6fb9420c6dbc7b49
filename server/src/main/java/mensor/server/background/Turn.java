package mensor.server.background;

import java.nio.file.Path;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** One piece of background work in the hands of this node: what is wanted, and how it goes. */
public final class Turn {
    private static final long TELL_EVERY = TimeUnit.MILLISECONDS.toNanos(300);

    private final BackgroundQueue queue;
    private final UUID node;
    private final BooleanSupplier closing;
    private final UUID id;
    private final String kind;
    private final UUID person;
    private final String title;
    private final String wanted;
    private long told = System.nanoTime() - TELL_EVERY;

    Turn(BackgroundQueue queue, UUID node, BooleanSupplier closing, BackgroundQueue.Taken taken) {
        this.queue = queue;
        this.node = node;
        this.closing = closing;
        this.id = taken.id();
        this.kind = taken.kind();
        this.person = taken.person();
        this.title = taken.title();
        this.wanted = taken.wanted();
    }

    UUID id() {
        return id;
    }

    public String kind() {
        return kind;
    }

    public UUID person() {
        return person;
    }

    public String title() {
        return title;
    }

    /** What was asked for, as whoever asked wrote it down. */
    public String wanted() {
        return wanted;
    }

    public Optional<byte[]> given() {
        return queue.given(id);
    }

    public Optional<String> answer() {
        return queue.answer(id);
    }

    /** @return whether to go on: nobody stopped it, this node is not closing, and no other took it over */
    public boolean goesOn(int done, int ofAll) {
        return goesOn(done, ofAll, () -> null);
    }

    /** As above; what is known so far can be read meanwhile. */
    public boolean goesOn(int done, int ofAll, Supplier<@Nullable String> soFar) {
        if (System.nanoTime() - told < TELL_EVERY) {
            return true;
        }
        told = System.nanoTime();
        return !closing.getAsBoolean() && queue.progress(id, node, done, ofAll, soFar.get());
    }

    /**
     * It is done, unless somebody stopped it meanwhile. Within a transaction it is done only when that is committed.
     *
     * @return whether it counts
     */
    public boolean finish(String answer) {
        return queue.finish(id, node, answer, null);
    }

    /** As {@link #finish(String)}, with the file that was made. */
    public boolean finish(Path made) {
        return queue.finish(id, node, null, made);
    }
}
