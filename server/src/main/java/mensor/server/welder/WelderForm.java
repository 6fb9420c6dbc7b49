package mensor.server.welder;

import java.time.LocalDate;
import java.util.List;
import mensor.server.web.AllOptional;

/** A welder with the tests passed with stick electrodes; a thickness or a least diameter of pipe left out is unlimited. */
@AllOptional
public record WelderForm(String stamp, String name, List<WelderTest> tests) {

    @AllOptional
    public record WelderTest(
            Integer group,
            String position,
            String thickest,
            Boolean backing,
            LocalDate tested,
            LocalDate lastUsed,
            String leastDiameter) {
        public WelderTest(
                Integer group,
                String position,
                String thickest,
                Boolean backing,
                LocalDate tested,
                LocalDate lastUsed) {
            this(group, position, thickest, backing, tested, lastUsed, null);
        }
    }
}
