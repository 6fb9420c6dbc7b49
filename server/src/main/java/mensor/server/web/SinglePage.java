package mensor.server.web;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Deep links into the browser's part all answer with its one page. */
@Controller
class SinglePage {
    @GetMapping({
        "/joints/**",
        "/inspections/**",
        "/jobs/**",
        "/procedures/**",
        "/gauges",
        "/studies/**",
        "/welds/*",
        "/practice/**",
        "/eye/**",
        "/machines",
        "/test-pieces/**",
        "/series/**",
        "/drills",
        "/class",
        "/people",
        "/criteria/**",
        "/reject-rates",
        "/where-to-act",
        "/scan-label",
        "/repairs",
        "/defects/**",
        "/history",
        "/reports",
        "/worklist",
        // as these pages were called before; a link in an old note still leads there
        "/books/**",
        "/rates"
    })
    String page() {
        return "forward:/index.html";
    }
}
