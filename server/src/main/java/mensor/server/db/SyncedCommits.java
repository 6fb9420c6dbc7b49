package mensor.server.db;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Proxy;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.core.env.Environment;
import org.springframework.jdbc.datasource.DelegatingDataSource;
import org.springframework.stereotype.Component;

/**
 * A commit is answered once it is on the disk itself, not in the operating system's memory alone: the embedded database writes
 * at each commit, but leaves the disk's own write to a power cut. Whoever commits while the disk is busy shares the next write.
 */
@Component
class SyncedCommits implements BeanPostProcessor, DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(SyncedCommits.class);

    private final Environment environment;
    private Checkpoint checkpoint;

    SyncedCommits(Environment environment) {
        this.environment = environment;
    }

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        String url = environment.getProperty("spring.datasource.url", "");
        boolean embedded = url.startsWith("jdbc:h2:") && !url.startsWith("jdbc:h2:mem:");
        if (!embedded || !(bean instanceof DataSource pool)) {
            return bean;
        }
        checkpoint = new Checkpoint(
                url,
                environment.getProperty("spring.datasource.username", ""),
                environment.getProperty("spring.datasource.password", ""));
        CommitGate gate = new CommitGate();
        return new SyncingDataSource(pool, gate, new SharedSync(() -> written(gate, checkpoint)));
    }

    private static void written(CommitGate gate, Sync sync) throws SQLException {
        try {
            gate.commit(() -> {
                sync.run();
                return null;
            });
        } catch (ReflectiveOperationException e) {
            throw new SQLException(e);
        }
    }

    /** Its own connection is the last one: the database is closed with it. */
    @Override
    public void destroy() {
        if (checkpoint != null) {
            checkpoint.letGo();
        }
    }

    /** Has the disk write what was committed. */
    interface Sync {
        void run() throws SQLException;
    }

    /** By a connection of its own, opened again after a fault. */
    private static final class Checkpoint implements Sync {
        private final String url;
        private final String user;
        private final String password;
        private Connection own;

        Checkpoint(String url, String user, String password) {
            this.url = url;
            this.user = user;
            this.password = password;
        }

        @Override
        public synchronized void run() throws SQLException {
            if (own == null || own.isClosed()) {
                own = DriverManager.getConnection(url, user, password);
            }
            try (Statement s = own.createStatement()) {
                s.execute("CHECKPOINT SYNC");
            } catch (SQLException e) {
                letGo();
                throw e;
            }
        }

        synchronized void letGo() {
            if (own != null) {
                try {
                    own.close();
                } catch (SQLException e) {
                    LOG.debug("a broken connection", e);
                }
                own = null;
            }
        }
    }

    /** One write of the disk for all who ask while the one before is under way. */
    static final class SharedSync implements Sync {
        private final Sync sync;
        private long asked;
        private long done;
        private boolean underway;

        SharedSync(Sync sync) {
            this.sync = sync;
        }

        @Override
        public void run() throws SQLException {
            long upTo;
            synchronized (this) {
                long mine = ++asked;
                while (underway) {
                    await();
                }
                if (done >= mine) {
                    return;
                }
                underway = true;
                upTo = asked;
            }
            boolean written = false;
            try {
                sync.run();
                written = true;
            } finally {
                synchronized (this) {
                    underway = false;
                    if (written) {
                        done = Math.max(done, upTo);
                    }
                    notifyAll();
                }
            }
        }

        private void await() throws SQLException {
            try {
                wait();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new SQLException("stopped before the disk had written", e);
            }
        }
    }

    private static final class SyncingDataSource extends DelegatingDataSource {
        private final CommitGate gate;
        private final Sync sync;

        SyncingDataSource(DataSource pool, CommitGate gate, Sync sync) {
            super(pool);
            this.gate = gate;
            this.sync = sync;
        }

        @Override
        public Connection getConnection() throws SQLException {
            return synced(super.getConnection());
        }

        @Override
        public Connection getConnection(String user, String password) throws SQLException {
            return synced(super.getConnection(user, password));
        }

        private Connection synced(Connection connection) {
            boolean[] readOnly = {false};
            return (Connection) Proxy.newProxyInstance(
                    getClass().getClassLoader(), new Class<?>[] {Connection.class}, (proxy, method, args) -> {
                        try {
                            switch (method.getName()) {
                                case "setReadOnly":
                                    readOnly[0] = (Boolean) args[0];
                                    return method.invoke(connection, args);
                                case "commit":
                                    if (readOnly[0]) {
                                        return method.invoke(connection, args);
                                    }
                                    gate.commit(() -> method.invoke(connection, args));
                                    sync.run();
                                    return null;
                                case "rollback":
                                    return gate.write(() -> method.invoke(connection, args));
                                case "createStatement", "prepareStatement", "prepareCall":
                                    return gate.watched(
                                            method.invoke(connection, args),
                                            method.getReturnType(),
                                            args == null || !(args[0] instanceof String sql) ? null : sql);
                                default:
                                    return method.invoke(connection, args);
                            }
                        } catch (InvocationTargetException e) {
                            if (method.getName().equals("rollback") && connection.isClosed()) {
                                return null; // given up after a fault of the file: that fault is what is to be said
                            }
                            throw e.getCause();
                        }
                    });
        }
    }
}
