package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Speaks HTTP to a running Mensor as a browser does: a session cookie and the CSRF token. Single quotes stand for double ones. */
final class TestBrowser {
    private final String base;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient client =
            HttpClient.newBuilder().cookieHandler(cookies).build();

    TestBrowser(String base) {
        this.base = base;
    }

    record Answer(int status, String text, HttpResponse<String> response) {
        Answer expect(int wanted) {
            assertThat(status).as(text).isEqualTo(wanted);
            return this;
        }

        JsonNode json() {
            return JsonMapper.shared().readTree(text);
        }

        String detail() {
            return json().get("detail").asString();
        }
    }

    Answer signIn(String login, String password) {
        return post("/api/session", "{'login':'" + login + "','password':'" + password + "'}");
    }

    Answer get(String path) {
        return send("GET", path, null, true);
    }

    /** With a header of its own. */
    Answer get(String path, String header, String value) {
        try {
            HttpResponse<String> response = client.send(
                    HttpRequest.newBuilder(URI.create(base + path))
                            .header(header, value)
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            return new Answer(response.statusCode(), response.body(), response);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    Answer post(String path, String body) {
        return send("POST", path, body, true);
    }

    /** A plain text, sent as it is. */
    Answer postText(String path, String text) {
        return send("POST", path, text, true, "text/plain;charset=UTF-8");
    }

    /** A file of JSON, sent as it is. */
    Answer postJson(String path, String text) {
        return send("POST", path, text, true, "application/json");
    }

    Answer put(String path, String body) {
        return send("PUT", path, body, true);
    }

    Answer delete(String path) {
        return send("DELETE", path, null, true);
    }

    Answer postWithoutToken(String path, String body) {
        return send("POST", path, body, false);
    }

    private Answer send(String method, String path, String body, boolean token) {
        return send(method, path, body == null ? null : body.replace('\'', '"'), token, "application/json");
    }

    /** A text, sent as it is. */
    Answer putText(String path, String text, String type) {
        return send("PUT", path, text, true, type + ";charset=UTF-8");
    }

    /** A file of JSON, sent as it is. */
    Answer putJson(String path, String text) {
        return send("PUT", path, text, true, "application/json");
    }

    /** Bytes as they are: a picture. */
    Answer putBytes(String path, byte[] bytes) {
        return send("PUT", path, HttpRequest.BodyPublishers.ofByteArray(bytes), true, "application/octet-stream");
    }

    Answer postBytes(String path, byte[] bytes) {
        return send("POST", path, HttpRequest.BodyPublishers.ofByteArray(bytes), true, "application/octet-stream");
    }

    /** The bytes that stand at a path. */
    byte[] bytes(String path) {
        try {
            HttpResponse<byte[]> response = client.send(
                    HttpRequest.newBuilder(URI.create(base + path)).build(), HttpResponse.BodyHandlers.ofByteArray());
            assertThat(response.statusCode()).isEqualTo(200);
            return response.body();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private Answer send(String method, String path, String body, boolean token, String type) {
        HttpRequest.BodyPublisher publisher =
                body == null ? HttpRequest.BodyPublishers.noBody() : HttpRequest.BodyPublishers.ofString(body);
        return send(method, path, publisher, token, type);
    }

    private Answer send(String method, String path, HttpRequest.BodyPublisher body, boolean token, String type) {
        if (!method.equals("GET") && token && cookie("XSRF-TOKEN") == null) {
            get("/api/session");
        }
        HttpRequest.Builder r = HttpRequest.newBuilder(URI.create(base + path)).header("Content-Type", type);
        if (token && cookie("XSRF-TOKEN") != null) {
            r.header("X-XSRF-TOKEN", cookie("XSRF-TOKEN"));
        }
        r.method(method, body);
        try {
            HttpResponse<String> response = client.send(r.build(), HttpResponse.BodyHandlers.ofString());
            return new Answer(response.statusCode(), response.body(), response);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private String cookie(String name) {
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals(name))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse(null);
    }

    /** Every answer of the "ready to look?" list. */
    static final String READY = "{'cleaned':true,'ambient':true,'light':true,'near':true,'inCalibration':true}";

    /** Puts something down of a joint's welding record. */
    Answer made(String joint, String kind, String content) {
        return put(
                "/api/joints/" + joint + "/welding-record/entries/" + UUID.randomUUID(),
                "{'kind':'" + kind + "','content':{" + content + "}}");
    }

    /** The joint of an inspection. */
    String jointOf(String inspection) {
        return get(inspection).expect(200).json().get("joint").get("id").asString();
    }

    static String newJoint(String mark) {
        return "{'job':'Footbridge','lot':'Deck','criteria':'d1.1-static','units':'in','welder':'K7','joint':{'mark':'"
                + mark
                + "','weld':'fillet','connection':'tee','length':'24','size':'5/16','members':[{'name':'web','thickness':'3/8'},{'name':'flange','thickness':'3/4'}]}}";
    }

    /** Sets up a joint and gives the path of its inspection. */
    String inspection(String mark) {
        return "/api/inspections/"
                + post("/api/joints", newJoint(mark))
                        .expect(200)
                        .json()
                        .get("inspectionId")
                        .asString();
    }

    /** The same in a job of its own. */
    String inspection(String mark, String job) {
        String body = newJoint(mark)
                .replace("'Footbridge'", "'" + job + "'")
                .replace("'criteria':'d1.1-static','units':'in',", "");
        return "/api/inspections/"
                + post("/api/joints", body)
                        .expect(200)
                        .json()
                        .get("inspectionId")
                        .asString();
    }

    static String entry(String kind, String content) {
        return "{'kind':'" + kind + "','content':{" + content + "}}";
    }

    Answer add(String inspection, String kind, String content) {
        return put(inspection + "/entries/" + UUID.randomUUID(), entry(kind, content));
    }

    /** What is inspected for along a fillet and not seen. */
    static final List<String> CLEARABLE = List.of(
            "crack",
            "fusion",
            "crater",
            "overlap",
            "profile",
            "length",
            "as-drawn",
            "undercut",
            "porosity",
            "arc-strike",
            "slag",
            "spatter");

    /** Everything that a sound weld needs: ready, the blade along it, and nothing else seen. */
    void sound(String inspection) {
        add(inspection, "READING", "'from':'0','to':'24','atLeast':'5/16'").expect(200);
        nothingSeen(inspection);
    }

    /** Ready, and inspected for all that can be seen. */
    void nothingSeen(String inspection) {
        put(inspection + "/conditions", READY).expect(200);
        for (String c : CLEARABLE) {
            add(inspection, "CLEAR", "'criterion':'" + c + "'").expect(200);
        }
    }

    Answer sign(String inspection, String verdict) {
        long version = get(inspection).expect(200).json().get("version").asLong();
        return post(inspection + "/sign", "{'version':" + version + ",'verdict':'" + verdict + "','capacity':'QC'}");
    }
}
