package mensor.server;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import org.h2.store.fs.FileBaseDefault;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/**
 * A file system for the database, {@code jdbc:h2:faulty:/folder/name}, which can be full, and which knows what would be left
 * after a power cut: only what the disk was told to write.
 */
public final class FaultyDisk extends FilePathWrapper {
    private static volatile boolean full;
    private static volatile Path afterPowerCut;

    static void register() {
        FilePath.register(new FaultyDisk());
    }

    static void setFull(boolean nowFull) {
        full = nowFull;
    }

    /** From now on keeps, in this file, what a power cut would leave of the database. */
    static void keepWhatIsForced(Path file) {
        afterPowerCut = file;
    }

    @Override
    public String getScheme() {
        return "faulty";
    }

    @Override
    public FileChannel open(String mode) throws IOException {
        Path kept = getName().endsWith(".mv.db") ? afterPowerCut : null;
        return new Channel(super.open(mode), kept);
    }

    private static final class Channel extends FileBaseDefault {
        private record Write(long at, byte[] bytes) {}

        private final FileChannel disk;
        private final FileChannel kept;
        private final List<Write> inMemoryOnly = new ArrayList<>();

        Channel(FileChannel disk, Path kept) throws IOException {
            this.disk = disk;
            this.kept = kept == null
                    ? null
                    : FileChannel.open(
                            kept, StandardOpenOption.CREATE, StandardOpenOption.WRITE, StandardOpenOption.READ);
            if (kept != null && disk.size() > 0) {
                Files.write(kept, new byte[0]);
                disk.transferTo(0, disk.size(), this.kept);
            }
        }

        @Override
        public long size() throws IOException {
            return disk.size();
        }

        @Override
        public synchronized int read(ByteBuffer to, long at) throws IOException {
            return disk.read(to, at);
        }

        @Override
        public synchronized int write(ByteBuffer from, long at) throws IOException {
            if (full) {
                throw new IOException("No space left on device");
            }
            if (kept != null) {
                byte[] bytes = new byte[from.remaining()];
                from.duplicate().get(bytes);
                inMemoryOnly.add(new Write(at, bytes));
            }
            return disk.write(from, at);
        }

        @Override
        protected synchronized void implTruncate(long size) throws IOException {
            disk.truncate(
                    size); // what was cut off is kept in the other file: a power cut may come before the cut is written
        }

        @Override
        public synchronized void force(boolean metaData) throws IOException {
            if (full) {
                throw new IOException("No space left on device");
            }
            if (kept != null) {
                for (Write w : inMemoryOnly) {
                    kept.write(ByteBuffer.wrap(w.bytes()), w.at());
                }
                inMemoryOnly.clear();
            }
        }

        @Override
        public FileLock tryLock(long at, long size, boolean shared) throws IOException {
            return disk.tryLock(at, size, shared);
        }

        @Override
        protected void implCloseChannel() throws IOException {
            disk.close();
            if (kept != null) {
                kept.close();
            }
        }
    }
}
