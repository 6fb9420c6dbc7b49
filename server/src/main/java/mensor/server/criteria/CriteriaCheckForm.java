package mensor.server.criteria;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.time.LocalDate;
import java.util.List;
import mensor.server.web.AllOptional;

/**
 * "Checked against our copy."
 *
 * @param copyEdition the edition of the copy that it was held against
 * @param differed the numbers that stand otherwise in the copy
 */
@AllOptional
@JsonInclude(JsonInclude.Include.NON_NULL)
public record CriteriaCheckForm(String copyEdition, LocalDate checkedOn, String checkedBy, List<Difference> differed) {

    /** A number of one criterion: as it is here, and as the copy has it. */
    @AllOptional
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record Difference(String criterion, String here, String copy) {}
}
