package mensor.server;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.ConnectException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.Executors;

/** The plainest proxy: each request to the next node; one that does not answer is left out from then on. */
final class RoundRobin implements AutoCloseable {
    private static final Set<String> OF_THE_CONNECTION =
            Set.of("connection", "content-length", "expect", "host", "http2-settings", "transfer-encoding", "upgrade");

    private final HttpClient client = HttpClient.newHttpClient();
    private final Deque<String> nodes;
    private final HttpServer server;

    RoundRobin(String... nodes) throws IOException {
        this.nodes = new ArrayDeque<>(List.of(nodes));
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 0);
        server.setExecutor(Executors.newCachedThreadPool());
        server.createContext("/", this::pass);
        server.start();
    }

    String address() {
        return "http://localhost:" + server.getAddress().getPort();
    }

    private synchronized String next() {
        String node = nodes.removeFirst();
        nodes.addLast(node);
        return node;
    }

    private synchronized void leaveOut(String node) {
        nodes.remove(node);
    }

    private void pass(HttpExchange exchange) throws IOException {
        try (exchange) {
            byte[] body = exchange.getRequestBody().readAllBytes();
            HttpResponse<byte[]> answer = answer(exchange, body);
            answer.headers().map().forEach((name, values) -> {
                if (!OF_THE_CONNECTION.contains(name.toLowerCase(Locale.ROOT)) && !name.startsWith(":")) {
                    exchange.getResponseHeaders().put(name, values);
                }
            });
            exchange.sendResponseHeaders(answer.statusCode(), answer.body().length == 0 ? -1 : answer.body().length);
            exchange.getResponseBody().write(answer.body());
        }
    }

    private HttpResponse<byte[]> answer(HttpExchange exchange, byte[] body) throws IOException {
        while (true) {
            String node = next();
            HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(node + exchange.getRequestURI()))
                    .version(HttpClient.Version.HTTP_1_1)
                    .method(exchange.getRequestMethod(), HttpRequest.BodyPublishers.ofByteArray(body));
            exchange.getRequestHeaders().forEach((name, values) -> {
                if (!OF_THE_CONNECTION.contains(name.toLowerCase(Locale.ROOT))) {
                    values.forEach(v -> request.header(name, v));
                }
            });
            try {
                return client.send(request.build(), HttpResponse.BodyHandlers.ofByteArray());
            } catch (ConnectException e) {
                leaveOut(node);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IOException(e);
            }
        }
    }

    @Override
    public void close() {
        server.stop(0);
    }
}
