package mensor.server.spreadsheet;

import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A spreadsheet's own file read as a list, to be brought in as any list is. Nothing is stored. */
@RestController
@RequestMapping("/api/tables")
class SpreadsheetController {
    /** @param list with commas */
    record ListView(String list) {}

    @PostMapping(consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    ListView read(@RequestBody byte[] file) {
        return new ListView(Spreadsheet.toList(file));
    }
}
