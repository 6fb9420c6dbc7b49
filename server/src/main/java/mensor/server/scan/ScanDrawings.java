package mensor.server.scan;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.UUID;
import mensor.exchange.MeasuredWeld;
import mensor.scan.WeldScan.Track;

/** The drawing of a scan while its file is read; where the file is read anew, the drawing before is let go. */
final class ScanDrawings implements AutoCloseable {
    private final ScanStore store;
    private final UUID drawnAs;
    private ScanStore.Drawing last;

    ScanDrawings(ScanStore store, UUID drawnAs) {
        this.store = store;
        this.drawnAs = drawnAs;
    }

    MeasuredWeld.Each anew() {
        try {
            close();
            ScanStore.Drawing drawing = store.new Drawing(drawnAs);
            last = drawing;
            return (profile, measured) -> drawing.add(profile);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    void keep(Track track) throws IOException {
        last.keep();
        store.writeLines(drawnAs, track);
    }

    @Override
    public void close() throws IOException {
        if (last != null) {
            last.close();
        }
    }
}
