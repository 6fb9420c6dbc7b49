package mensor.server.inspection;

import static org.assertj.core.api.Assertions.assertThatCode;

import java.util.UUID;
import java.util.stream.IntStream;
import mensor.server.TestDatabase;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DriverManagerDataSource;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** A weld list is stored in one transaction, also where a PostgreSQL has only the locks it comes with. */
@Tag("postgresql")
class StoreCountsTest {
    @Test
    void sixtyThousandWeldsAreStoredAtOnce() {
        DriverManagerDataSource database = new DriverManagerDataSource(TestDatabase.fresh(), "postgres", "");
        StoreCounts counts = StoreCounts.inDatabase(JdbcClient.create(database));
        TransactionTemplate transaction = new TransactionTemplate(new JdbcTransactionManager(database));
        assertThatCode(() -> transaction.executeWithoutResult(t -> counts.take(IntStream.range(0, 60_000)
                        .mapToObj(i -> UUID.randomUUID())
                        .toList())))
                .doesNotThrowAnyException();
    }
}
