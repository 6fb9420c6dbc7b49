package mensor.judge;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mensor.criteria.Rule;
import mensor.inspection.BaseMetalDamage;
import mensor.inspection.Inspection;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.weld.Member;

/**
 * Damage of the base metal beside the weld. What is sharp rejects until it is dressed; dressed smooth it accepts while no
 * more of the thickness is gone than allowed, and is the Engineer's beyond that. The loss is the greater of the depth and
 * what is missing of the thickness; a thickness that was not read leaves it open.
 */
final class BaseMetalCheck {
    private final Inspection inspection;
    private final Finding.Builder finding;

    BaseMetalCheck(Inspection inspection, Finding.Builder finding) {
        this.inspection = inspection;
        this.finding = finding;
    }

    void judge(Rule.BaseMetal rule) {
        WorstPart worst = new WorstPart(finding);
        for (Occurrence<BaseMetalDamage> f : Occurrence.indications(inspection, BaseMetalDamage.class)) {
            finding.confidence(rule.confidence());
            List<Finding> possible =
                    members(f.what()).map(m -> judged(f, m, rule)).toList();
            Finding first = possible.get(0);
            boolean agree = possible.stream().allMatch(p -> p.verdict() == first.verdict());
            worst.add("", agree ? first : open(possible));
        }
        worst.settle();
    }

    private static Finding open(List<Finding> possible) {
        return possible.stream()
                .filter(p -> p.verdict() == Verdict.INCOMPLETE)
                .findFirst()
                .orElseThrow();
    }

    /** The member that was harmed; where nobody said, each that it may be. */
    private Stream<Member> members(BaseMetalDamage d) {
        return d.member()
                .map(toe -> Stream.of(inspection.joint().member(toe)))
                .orElseGet(() -> inspection.joint().members().stream());
    }

    private Finding judged(Occurrence<BaseMetalDamage> f, Member member, Rule.BaseMetal rule) {
        BaseMetalDamage d = f.what();
        String what = d.what().id().replace('-', ' ');
        Finding.Builder part = finding.fresh().span(d.span()).indications(List.of(f.index()));
        part.allowed("dressed smooth, at most "
                + most(member, rule).in(inspection.units()).shownWithUnit() + " gone");
        if (!d.isDressed()) {
            String deep = d.depth().map(x -> " " + x.shownWithUnit() + " deep").orElse("");
            return part.measured(what + deep)
                    .reject(Why.BASE_METAL_SHARP.of(what + deep, d.span()))
                    .build();
        }
        if (d.thickness().isEmpty()) {
            return part.measured(what + ", dressed")
                    .incomplete(Why.BASE_METAL_THICKNESS.of(d.span()), Ask.Kind.READ_THICKNESS.of(d.span()))
                    .build();
        }
        return dressed(part, d, member, rule);
    }

    private Finding dressed(Finding.Builder part, BaseMetalDamage d, Member member, Rule.BaseMetal rule) {
        Length zero = Length.zero(inspection.units());
        Length missing = member.thickness().minus(d.thickness().orElseThrow()).max(zero);
        Length lost = missing.max(d.depth().orElse(zero)).in(inspection.units());
        Length most = most(member, rule).in(inspection.units());
        part.atMost(lost, most);
        if (lost.isOver(most)) {
            return part.incomplete(
                            Why.BASE_METAL_FOR_ENGINEER.of(lost, d.span(), most),
                            Ask.Kind.ASK_ENGINEER_BASE_METAL.of(d.span()))
                    .build();
        }
        Optional<Length> division = d.division();
        if (GaugeLimit.isTooCoarse(most, division)) {
            return part.incomplete(
                            GaugeLimit.tooCoarse(division.orElseThrow(), most),
                            GaugeLimit.finerGauge("thickness", d.span().shown()))
                    .build();
        }
        return part.nearLimit(GaugeLimit.isNear(most.minus(lost), division))
                .accept(Why.BASE_METAL_DRESSED.of(lost, member.thickness(), d.span(), most))
                .build();
    }

    private static Length most(Member member, Rule.BaseMetal rule) {
        return rule.most().min(member.thickness().dividedBy(rule.thicknessDivisor()));
    }
}
