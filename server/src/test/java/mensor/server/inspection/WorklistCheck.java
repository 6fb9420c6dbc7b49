package mensor.server.inspection;

import java.util.List;
import java.util.UUID;
import org.springframework.context.ApplicationContext;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.support.TransactionTemplate;

/** What the worklist keeps beside, against what the other tables make of it. */
public final class WorklistCheck {
    private WorklistCheck() {}

    /** "NONE" where every row is as it must be. */
    public static String changeWhenMadeAnew(ApplicationContext context) {
        return context.getBean(TransactionTemplate.class).execute(t -> {
            List<UUID> joints = context.getBean(JdbcClient.class)
                    .sql("select id from joint")
                    .query(UUID.class)
                    .list();
            return context.getBean(WorklistRows.class).remake(joints).name();
        });
    }
}
