package mensor.server.repair;

import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.UUID;
import mensor.repair.Disposition;
import mensor.server.inspection.Bench;
import mensor.weld.Named;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Rejects that were signed before defects had numbers get them when the app starts. */
@Component
class EarlierDispositions {
    private final DefectRegister register;
    private final DefectRepository defects;
    private final Holds holds;
    private final Bench bench;
    private final TransactionTemplate transactions;
    private final JdbcClient jdbc;

    EarlierDispositions(
            DefectRegister register,
            DefectRepository defects,
            Holds holds,
            Bench bench,
            TransactionTemplate transactions,
            JdbcClient jdbc) {
        this.register = register;
        this.defects = defects;
        this.holds = holds;
        this.bench = bench;
        this.transactions = transactions;
        this.jdbc = jdbc;
    }

    /** Rejects that were signed before defects had numbers get them, with what was decided on their findings. */
    @EventListener(ApplicationReadyEvent.class)
    public void catchUp() {
        for (UUID inspection : bench.rejectedWithoutDefects()) {
            transactions.executeWithoutResult(t -> {
                Bench.State o = bench.openAsItStands(inspection);
                register.raise(o);
                for (DefectEntity d : defects.findByInspectionIdOrderByPlaceIndex(inspection)) {
                    decidedBefore(inspection, d);
                    holds.sync(d, o.judged());
                }
            });
        }
    }

    /** As it was kept when a finding was decided as a whole, with the Engineer's document where it was accepted as it is. */
    private void decidedBefore(UUID inspection, DefectEntity d) {
        jdbc.sql("select * from disposition where inspection_id = ? and finding = ?")
                .params(inspection, d.finding())
                .query((row, n) -> {
                    Instant at =
                            row.getObject("decided_at", OffsetDateTime.class).toInstant();
                    Named.find(Disposition.class, row.getString("decision")).ifPresent(x -> {
                        try {
                            d.decide(x, row.getString("note"), false, row.getObject("decided_by", UUID.class), at);
                            if (x == Disposition.ACCEPT_AS_IS) {
                                d.close(
                                        Holds.acceptedBy(
                                                row.getString("document_no"),
                                                row.getString("document_by"),
                                                row.getString("document_date")),
                                        at);
                            }
                        } catch (SQLException e) {
                            throw new IllegalStateException(e);
                        }
                    });
                    return d;
                })
                .list();
    }
}
