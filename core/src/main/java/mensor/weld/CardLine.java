package mensor.weld;

/** One line of a card, with what was read and what is wanted. */
public record CardLine(String title, String read, String wanted, State state) {
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
