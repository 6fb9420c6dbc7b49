package mensor.server.people;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** What a script may do with a token; never more than its person may. */
public enum TokenScope {
    /** Reads welds, inspections, records, reports, rates: nothing of people, their mail, their learning or their eyes. */
    READ("GET /api/(criteria|defects|entry-line|gauges|inspections|jobs|joints|kinds|kit|machines|plots|procedures"
            + "|reject-rates|repairs|reports|schools|session|test-pieces|weld-lists|welds|openapi)(/.*)?"),
    /** Has an inspection file judged; nothing is stored. */
    JUDGE("POST /api/judge"),
    /** Brings in weld lists and procedures. */
    IMPORT(
            "(POST /api/jobs/[^/]+/weld-list|(GET|POST|DELETE) /api/weld-lists/.*|POST /api/procedures/import|GET /api/jobs)");

    private final Pattern requests;

    TokenScope(String requests) {
        this.requests = Pattern.compile(requests);
    }

    /** Whether such a request is within the scope. */
    boolean allows(String method, String path) {
        return requests.matcher(method + " " + path).matches();
    }

    /** As the store keeps several: {@code READ,IMPORT}. */
    @Converter
    static class Column implements AttributeConverter<List<TokenScope>, String> {
        @Override
        public String convertToDatabaseColumn(List<TokenScope> scopes) {
            return scopes.stream().map(Enum::name).collect(Collectors.joining(","));
        }

        @Override
        public List<TokenScope> convertToEntityAttribute(String stored) {
            return Arrays.stream(stored.split(",")).map(TokenScope::valueOf).toList();
        }
    }
}
