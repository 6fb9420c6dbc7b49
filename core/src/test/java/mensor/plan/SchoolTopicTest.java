package mensor.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import mensor.length.Length;
import mensor.weld.Connection;
import mensor.weld.InvalidField;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The schools of the trade, and what the plan makes of a pick; common practice, no source. */
class SchoolTopicTest {
    private static final Joint FILLET = new JointBuilder("S-1", WeldType.FILLET, Connection.TEE, Length.inches(12))
            .members(new Member("web", Length.inches(1, 2)), new Member("flange", Length.inches(1)))
            .size(Length.inches(5, 16))
            .build();

    @ParameterizedTest
    @CsvSource({"sixty, 0.60", "even-face, 0.85", "two-thirds, 0.70"})
    void thePlanFollowsTheCoverThatWasPicked(String school, double cover) {
        PassPlan plan = PassPlanner.plan(FILLET, List.of(), SchoolTopic.constants(Map.of("cover", school)));
        assertThat(plan.beads().get(1).cover()).hasValue(cover);
    }

    @Test
    void withoutAPickAllIsUsual() {
        assertThat(SchoolTopic.constants(Map.of())).isEqualTo(PlanConstants.USUAL);
        assertThat(SchoolTopic.constants(Map.of("cap", "flush")).fillBelow()).isZero();
    }

    @ParameterizedTest
    @EnumSource(SchoolTopic.class)
    void eachTopicHasTwoOrMoreSchoolsWithTheirReason(SchoolTopic topic) {
        assertThat(topic.schools())
                .hasSizeGreaterThanOrEqualTo(2)
                .allSatisfy(s -> assertThat(s.reason()).isNotBlank());
        topic.schools().forEach(s -> SchoolTopic.check(Map.of(topic.id(), s.id())));
    }

    @Test
    void whatIsNotKnownIsRefused() {
        assertThatThrownBy(() -> SchoolTopic.check(Map.of("cover", "none")))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("sixty");
        assertThatThrownBy(() -> SchoolTopic.check(Map.of("hat", "red"))).hasMessageContaining("cover");
    }
}
