package mensor.bench;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Many people at one Mensor: each asks every few seconds whether the worklist has anything new and reads it where it has, and
 * puts entries down on welds of a long list. A plain client that measures from asking to answered. It wants a Mensor of its own
 * on an empty data folder, never one with real records.
 */
public final class LoadTest {
    private static final String PASSWORD = "a load of welds";
    private static final int WELDS_A_LIST = 20_000;
    /** Signing in and the first answers of a fresh start are not counted. */
    private static final Duration WARMING_UP = Duration.ofMinutes(1);

    private static final Pattern ID = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"");
    private static final Pattern INSPECTION = Pattern.compile("\"inspectionId\":\"([0-9a-f-]{36})\"");
    private static final Pattern VERSION = Pattern.compile("\"version\":\"([^\"]+)\"");
    private static final Pattern STATE = Pattern.compile("\"state\":\"([A-Z]+)\"");
    private static final Pattern USED = Pattern.compile("\"value\":([0-9.E]+)");

    private final String base;
    private final int people;
    private final int welds;
    private final Duration time;
    private final Map<String, ConcurrentLinkedQueue<Long>> times = new ConcurrentHashMap<>();
    private final ConcurrentLinkedQueue<String> faults = new ConcurrentLinkedQueue<>();

    private LoadTest(String base, int people, int welds, Duration time) {
        this.base = base;
        this.people = people;
        this.welds = welds;
        this.time = time;
    }

    /** Address, people, welds, minutes. */
    public static void main(String[] args) throws IOException, InterruptedException {
        if (args.length != 4) {
            System.err.println("load: the address, people, welds and minutes, as http://localhost:8080 50 100000 5");
            System.exit(64);
        }
        LoadTest test = new LoadTest(
                args[0],
                Integer.parseInt(args[1]),
                Integer.parseInt(args[2]),
                Duration.ofMinutes(Long.parseLong(args[3])));
        System.exit(test.run() ? 0 : 1);
    }

    /** One browser: its cookies, and the token beside them. */
    private final class Visitor {
        private final CookieManager cookies = new CookieManager();
        private final HttpClient http = HttpClient.newBuilder()
                .cookieHandler(cookies)
                .version(HttpClient.Version.HTTP_1_1)
                .build();

        String send(String what, String method, String path, String body) throws IOException, InterruptedException {
            HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(base + path))
                    .header(
                            "Content-Type",
                            path.endsWith("weld-list") ? "text/plain;charset=UTF-8" : "application/json")
                    .method(
                            method,
                            body == null
                                    ? HttpRequest.BodyPublishers.noBody()
                                    : HttpRequest.BodyPublishers.ofString(body.replace('\'', '"')));
            cookies.getCookieStore().getCookies().stream()
                    .filter(c -> c.getName().equals("XSRF-TOKEN"))
                    .map(HttpCookie::getValue)
                    .findFirst()
                    .ifPresent(token -> request.header("X-XSRF-TOKEN", token));
            long began = System.nanoTime();
            HttpResponse<String> answer = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
            times.computeIfAbsent(what, w -> new ConcurrentLinkedQueue<>()).add(System.nanoTime() - began);
            if (answer.statusCode() >= 400) {
                faults.add(answer.statusCode() + " " + method + " " + path + ": " + answer.body());
                throw new IOException(faults.peek());
            }
            return answer.body();
        }

        void signIn(String login) throws IOException, InterruptedException {
            send("sign in", "GET", "/api/session", null);
            send("sign in", "POST", "/api/session", "{'login':'" + login + "','password':'" + PASSWORD + "'}");
        }
    }

    private static String in(Pattern pattern, String answer) {
        Matcher m = pattern.matcher(answer);
        if (!m.find()) {
            throw new IllegalStateException("no " + pattern + " in " + answer);
        }
        return m.group(1);
    }

    private boolean run() throws IOException, InterruptedException {
        Visitor manager = new Visitor();
        manager.send("set up", "GET", "/api/session", null);
        manager.send(
                "set up",
                "POST",
                "/api/people/first",
                "{'login':'manager','name':'Manager','roles':['INSPECTOR'],'password':'" + PASSWORD + "'}");
        for (int n = 0; n < people; n++) {
            manager.send(
                    "set up",
                    "POST",
                    "/api/people",
                    "{'login':'p" + n + "','name':'Person " + n + "','roles':['INSPECTOR'],'password':'" + PASSWORD
                            + "'}");
        }
        long began = System.nanoTime();
        for (int from = 0; from < welds; from += WELDS_A_LIST) {
            bringIn(manager, from, Math.min(welds, from + WELDS_A_LIST));
        }
        System.out.printf("%d welds brought in, in %.0f s%n", welds, (System.nanoTime() - began) / 1e9);
        List<Thread> running = new ArrayList<>();
        long until = System.nanoTime() + WARMING_UP.plus(time).toNanos();
        for (int n = 0; n < people; n++) {
            Thread person = new Thread(new Person(n, until));
            person.start();
            running.add(person);
        }
        Thread.sleep(WARMING_UP.toMillis());
        times.clear();
        while (System.nanoTime() < until) {
            Thread.sleep(30_000);
            String used = manager.send("memory", "GET", "/actuator/metrics/jvm.memory.used?tag=area:heap", null);
            System.out.printf("heap in use %.0f MB%n", Double.parseDouble(in(USED, used)) / (1 << 20));
        }
        for (Thread person : running) {
            person.join();
        }
        return said();
    }

    private static void bringIn(Visitor manager, int from, int to) throws IOException, InterruptedException {
        String job = in(
                ID,
                manager.send(
                        "set up",
                        "POST",
                        "/api/jobs",
                        "{'name':'Long job " + from + "','criteria':'d1.1-static','units':'in'}"));
        StringBuilder list = new StringBuilder(
                "mark;weld no;lot;size;length;member a;thickness a;member b;thickness b;position;welder\n");
        for (int i = from; i < to; i++) {
            list.append("L-%06d;1;Lot %d;5/16;24;web;3/8;flange;3/4;2F;K%d%n".formatted(i, i / 200, i % 9));
        }
        String id = in(ID, manager.send("set up", "POST", "/api/jobs/" + job + "/weld-list", list.toString()));
        settle(manager, id, "CHECKED");
        manager.send("set up", "POST", "/api/weld-lists/" + id + "/store", null);
        settle(manager, id, "STORED");
    }

    private static void settle(Visitor manager, String id, String wanted) throws IOException, InterruptedException {
        while (!in(STATE, manager.send("set up", "GET", "/api/weld-lists/" + id, null))
                .equals(wanted)) {
            Thread.sleep(200);
        }
    }

    /** Polls, reads the list where it has anything new, and puts down an entry every few seconds. */
    private final class Person implements Runnable {
        private static final long POLL = 10_000_000_000L;
        private static final int ENTRIES_A_WELD = 12;

        private final int number;
        private final long until;
        private final Random random;
        private final Visitor visitor = new Visitor();

        Person(int number, long until) {
            this.number = number;
            this.until = until;
            this.random = new Random(number);
        }

        @Override
        public void run() {
            try {
                Thread.sleep(random.nextInt(10_000)); // not all at once
                visitor.signIn("p" + number);
                String known = "";
                long polled = 0;
                List<String> mine = List.of();
                int entries = 0;
                while (System.nanoTime() < until) {
                    if (System.nanoTime() - polled > POLL) {
                        polled = System.nanoTime();
                        String version = in(VERSION, visitor.send("poll", "GET", "/api/joints/version", null));
                        if (!version.equals(known)) {
                            known = version;
                            mine = list();
                        }
                    }
                    enter(mine.get((entries / ENTRIES_A_WELD) % mine.size()));
                    entries++;
                    Thread.sleep(2_000 + random.nextInt(4_000));
                }
            } catch (IOException e) {
                // said among the faults
                faults.add(String.valueOf(e.getMessage()));
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }

        private List<String> list() throws IOException, InterruptedException {
            int from = number * 100 % Math.max(1, welds - 100);
            Matcher m = INSPECTION.matcher(
                    visitor.send("list", "GET", "/api/joints?group=all&size=100&from=" + from, null));
            List<String> ids = new ArrayList<>();
            while (m.find()) {
                ids.add(m.group(1));
            }
            return ids;
        }

        private void enter(String inspection) throws IOException, InterruptedException {
            int at = random.nextInt(22);
            visitor.send(
                    "entry",
                    "PUT",
                    "/api/inspections/" + inspection + "/entries/" + UUID.randomUUID(),
                    "{'kind':'INDICATION','content':{'kind':'undercut','toe':'A','from':'" + at + "','to':'" + (at + 1)
                            + "','depth':'1/64'}}");
        }
    }

    private boolean said() {
        System.out.printf("%-10s %8s %8s %8s %8s %8s%n", "", "asked", "p50", "p95", "p99", "most");
        new TreeMap<>(times).forEach((what, all) -> {
            long[] sorted = all.stream().mapToLong(Long::longValue).sorted().toArray();
            System.out.printf(
                    "%-10s %8d %5.0f ms %5.0f ms %5.0f ms %5.0f ms%n",
                    what, sorted.length, at(sorted, 0.5), at(sorted, 0.95), at(sorted, 0.99), at(sorted, 1));
        });
        faults.stream().distinct().limit(10).forEach(f -> System.out.println("fault: " + f));
        System.out.println(faults.isEmpty() ? "no fault" : faults.size() + " faults");
        return faults.isEmpty();
    }

    private static double at(long[] sorted, double share) {
        return sorted[(int) Math.min(sorted.length - 1, Math.floor(share * sorted.length))] / 1e6;
    }
}
