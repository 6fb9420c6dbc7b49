package mensor.server.study;

import java.util.UUID;

/** How far an agreement study is that people still work on; answered by the room that has their exercises. */
public interface AgreementProgress {
    AgreementView of(UUID study);
}
