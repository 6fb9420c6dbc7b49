package mensor.server.inspection;

import java.util.List;
import java.util.UUID;
import mensor.judge.Evaluation;
import mensor.server.record.Signatures;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Records signed before {@link SignedDisplay} kept what they show: that is made once by the present tables, where these come
 * to the very findings that were signed; else it stays unknown, and the record shows its document alone.
 */
@Component
class SignedDisplayCatchUp {
    private final Signatures signatures;
    private final Bench bench;
    private final SignedDisplay shown;
    private final TransactionTemplate transactions;

    SignedDisplayCatchUp(Signatures signatures, Bench bench, SignedDisplay shown, TransactionTemplate transactions) {
        this.signatures = signatures;
        this.bench = bench;
        this.shown = shown;
        this.transactions = transactions;
    }

    @EventListener(ApplicationReadyEvent.class)
    public void catchUp() {
        for (UUID id : signatures.withoutShown()) {
            transactions.executeWithoutResult(t -> {
                Bench.State signed = bench.openAsItStands(id);
                InspectionResult today = bench.judgedToday(signed);
                if (said(today.evaluation()).equals(said(signed.judged().evaluation()))) {
                    signatures.keepShown(
                            id, shown.write(today.inspection(), today.evaluation(), today.contractNotes()));
                }
            });
        }
    }

    private static List<String> said(Evaluation e) {
        return e.findings().stream()
                .map(f -> String.join("|", f.id(), f.verdict().id(), f.measured(), f.allowed(), "" + f.indications()))
                .toList();
    }
}
