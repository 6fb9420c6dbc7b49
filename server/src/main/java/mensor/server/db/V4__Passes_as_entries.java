package mensor.server.db;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.UUID;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The passes of a joint were one list in its welding record; each becomes an entry of its own, in its order. */
public class V4__Passes_as_entries extends BaseJavaMigration {
    private final JsonMapper json = JsonMapper.shared();

    @Override
    public void migrate(Context context) throws SQLException {
        Connection db = context.getConnection();
        try (PreparedStatement joints = db.prepareStatement("select id, welding, created_by, created_at from joint");
                ResultSet rows = joints.executeQuery()) {
            while (rows.next()) {
                ObjectNode welding = (ObjectNode) json.readTree(rows.getString("welding"));
                JsonNode passes = welding.remove("passes");
                if (passes != null && !passes.isEmpty()) {
                    move(db, rows, welding, passes);
                }
            }
        }
    }

    private void move(Connection db, ResultSet joint, ObjectNode welding, JsonNode passes) throws SQLException {
        Object id = joint.getObject("id");
        try (PreparedStatement insert = db.prepareStatement(
                "insert into making_entry (id, joint_id, sequence, kind, content, entered_by, entered_at, withdrawn, version)"
                        + " values (?, ?, ?, 'PASS', ?, ?, ?, false, 0)")) {
            int sequence = 0;
            for (JsonNode pass : passes) {
                insert.setObject(1, UUID.randomUUID());
                insert.setObject(2, id);
                insert.setInt(3, ++sequence);
                insert.setString(4, json.writeValueAsString(pass));
                insert.setObject(5, joint.getObject("created_by"));
                insert.setObject(6, joint.getObject("created_at"));
                insert.executeUpdate();
            }
        }
        try (PreparedStatement update = db.prepareStatement("update joint set welding = ? where id = ?")) {
            update.setString(1, json.writeValueAsString(welding));
            update.setObject(2, id);
            update.executeUpdate();
        }
    }
}
