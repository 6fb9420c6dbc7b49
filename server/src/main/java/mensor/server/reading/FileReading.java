package mensor.server.reading;

import java.io.IOException;

/** Reads a file that may come from anybody, in a process of its own; has a constructor without parameters. */
public interface FileReading {
    /**
     * @throws mensor.server.web.Refusal in words for whoever sent it
     * @throws IOException where it is damaged
     */
    byte[] read(byte[] file) throws IOException;
}
