package mensor.weld;

import java.util.Optional;

/** One line of a card, with what was read and what is wanted. */
public record CardLine(String title, String read, String wanted, State state) {
    /** Open where nothing was read, whatever the state would be. */
    static CardLine of(String title, String read, String wanted, State state) {
        return new CardLine(title, read, wanted, read.isEmpty() ? State.OPEN : state);
    }

    /** A question; a no is worth a remark. */
    static CardLine of(String title, Optional<Boolean> answer, String wanted) {
        return of(
                title,
                answer.map(y -> y ? "yes" : "no").orElse(""),
                wanted,
                answer.orElse(false) ? State.OK : State.REMARK);
    }

    public enum State implements Named {
        OK("ok"),
        OPEN("open"),
        REMARK("remark"),
        DEPARTS("departs"),
        STOP("stop");

        private final String id;

        State(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }
}
