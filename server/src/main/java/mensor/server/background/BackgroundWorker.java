package mensor.server.background;

import java.util.Set;

/** Does one sort of background work. Each worker has a thread of its own, so that a long report does not hold up a weld list. */
public interface BackgroundWorker {
    /** What it does, by the names under which it was put into {@link BackgroundQueue}. */
    Set<String> kinds();

    /**
     * Does it, and says so by {@link Turn#finish}. Returning without that ends the work as stopped; an exception as failed, a
     * {@link mensor.server.web.Refusal} with its words.
     */
    void work(Turn turn);
}
