package mensor.server.welder;

import java.time.LocalDate;
import java.util.List;
import mensor.server.web.AllOptional;

/** A welder with the tests passed with stick electrodes; a thickness left out is unlimited. */
@AllOptional
public record WelderForm(String stamp, String name, List<WelderTest> tests) {

    @AllOptional
    public record WelderTest(
            Integer group, String position, String thickest, Boolean backing, LocalDate tested, LocalDate lastUsed) {}
}
