package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.UUID;
import javax.sql.DataSource;
import mensor.server.record.SealJournal;
import mensor.server.record.Signatures;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

@ExtendWith(RunningMensor.class)
@Tag("postgresql")
class SigningTest {
    private static final String CRACK = "'kind':'crack','at':'3'";

    @Test
    void anIncompleteInspectionCanOnlyBeHandedOver() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("G1");
        assertThat(ines.sign(inspection, "accept").expect(409).detail())
                .contains("incomplete")
                .contains("hand it over");
        String tomas = ines.get("/api/people")
                .json()
                .valueStream()
                .filter(p -> p.get("login").asString().equals("tomas"))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asString();
        JsonNode after = ines.post(inspection + "/handover", "{'to':'" + tomas + "','note':'half done'}")
                .expect(200)
                .json();
        assertThat(after.get("holder").asString()).isEqualTo("tomas");
        assertThat(after.get("handovers").get(0).get("note").asString()).isEqualTo("half done");
    }

    /** As after the battery of a clock gave out: a signature of the 28th never follows one of the 1st. */
    @Test
    void aClockBeforeTheLastSignatureSignsNothingUntilTheQualityManagerConfirmsIt() {
        TestBrowser ines = RunningMensor.as("ines");
        TestBrowser quinn = RunningMensor.as("quinn");
        String ahead = ines.inspection("CLOCK-1");
        ines.sound(ahead);
        ines.sign(ahead, "accept").expect(200);
        String next = ines.inspection("CLOCK-2");
        ines.sound(next);
        quinn.post("/api/installations/clock", "{'reason':'nothing'}").expect(409);
        JdbcTemplate db = new JdbcTemplate(RunningMensor.bean(DataSource.class));
        UUID signed = UUID.fromString(ahead.substring(ahead.lastIndexOf('/') + 1));
        OffsetDateTime was = db.queryForObject(
                "select signed_at from signature where inspection_id = ?", OffsetDateTime.class, signed);
        String sql = "update signature set signed_at = ? where inspection_id = ?";
        db.update(sql, OffsetDateTime.now(ZoneOffset.UTC).plusMinutes(1), signed);
        try {
            assertThat(quinn.get("/api/installations").json().has("clockFault"))
                    .as("as far apart as two nodes may be")
                    .isFalse();
            db.update(sql, OffsetDateTime.now(ZoneOffset.UTC).plusDays(3), signed);
            assertThat(ines.sign(next, "accept").expect(409).detail())
                    .contains("before the last signature", "quality manager");
            assertThat(ines.get(next).json().get("state").asString()).isNotEqualTo("SIGNED");
            ines.post("/api/installations/clock", "{'reason':'battery'}").expect(403);
            assertThat(quinn.post("/api/installations/clock", "{}").expect(422).text())
                    .contains("reason");
            quinn.post("/api/installations/clock", "{'reason':'the battery gave out'}")
                    .expect(200);
            ines.sign(next, "accept").expect(200);
            assertThat(RunningMensor.bean(SealJournal.class).whole().lines())
                    .anyMatch(l -> l.contains("mensor-clock/1") && l.contains("the battery gave out"));
        } finally {
            db.update(sql, was, signed);
            db.update("delete from clock_confirmation");
        }
    }

    @Test
    void anAcceptIsSignedAndFrozenWithItsSum() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("G2");
        ines.sound(inspection);
        ines.sign(inspection, "reject").expect(409);
        JsonNode signed = ines.sign(inspection, "accept").expect(200).json();
        assertThat(signed.get("state").asString()).isEqualTo("SIGNED");
        String record = ines.get(inspection + "/record").expect(200).text();
        assertThat(Signatures.sha256(record))
                .isEqualTo(signed.get("signature").get("sha256").asString());
        assertThat(record)
                .contains("\"verdict\":\"accept\"")
                .contains("mensor-inspection/1")
                .contains("mensor-evaluation/1");
        assertThat(ines.add(inspection, "INDICATION", CRACK).expect(409).detail())
                .contains("new revision");
    }

    @Test
    void aRejectIsSignedAtOnceAndThenDisposedByTheContractor() {
        TestBrowser ines = RunningMensor.as("ines");
        TestBrowser rufus = RunningMensor.as("rufus");
        String inspection = ines.inspection("G3");
        ines.add(inspection, "INDICATION", CRACK).expect(200);
        ines.add(inspection, "INDICATION", "'kind':'undercut','toe':'B','from':'1','to':'9','depth':'1/16'")
                .expect(200);
        JsonNode signed = ines.sign(inspection, "reject").expect(200).json();
        assertThat(signed.get("next").asString()).isEqualTo("Disposition needed: 2 defects");
        JsonNode defects = ines.get(inspection + "/defects").json().get("defects");
        assertThat(defects).hasSize(2);
        String crack = "/api/defects/" + defects.get(0).get("id").asString() + "/disposition";
        ines.put(crack, "{'decision':'refer'}").expect(403);
        RunningMensor.as("quinn").put(crack, "{'decision':'refer'}").expect(403);
        assertThat(rufus.put(crack, "{'decision':'blend'}").expect(422).detail())
                .contains("does not suit crack");
        long version = defects.get(0).get("version").asLong();
        rufus.put(crack, "{'decision':'remove-and-reweld','note':'gouge','version':" + version + "}")
                .expect(200);
        assertThat(rufus.put(crack, "{'decision':'replace','version':" + version + "}")
                        .expect(409)
                        .detail())
                .contains("meanwhile");
        assertThat(ines.get(inspection).json().get("next").asString()).isEqualTo("Disposition needed: 1 defect");
    }

    @Test
    void aSignatureOnSomethingThatChangedMeanwhileIsRefused() {
        TestBrowser ines = RunningMensor.as("ines");
        TestBrowser tomas = RunningMensor.as("tomas");
        String inspection = ines.inspection("G4");
        ines.sound(inspection);
        long version = ines.get(inspection).json().get("version").asLong();
        tomas.add(inspection, "READING", "'at':'3','legA':'5/16','legB':'5/16'").expect(200);
        assertThat(ines.post(inspection + "/sign", "{'version':" + version + ",'verdict':'accept','capacity':'QC'}")
                        .expect(409)
                        .detail())
                .contains("somebody changed");
    }

    @Test
    void anAmendmentIsANewRevisionThatNamesTheOld() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("G5");
        ines.add(inspection, "INDICATION", CRACK).expect(200);
        JsonNode old = ines.sign(inspection, "reject").expect(200).json();
        ines.post(inspection + "/amend", "{'reason':' '}").expect(422);
        JsonNode next = ines.post(inspection + "/amend", "{'reason':'it was a scratch'}")
                .expect(200)
                .json();
        assertThat(next.get("revision").asInt()).isEqualTo(2);
        assertThat(next.get("amends").asString()).isEqualTo(old.get("id").asString());
        assertThat(next.get("entries")).hasSize(1);
        assertThat(ines.get(inspection).json().get("state").asString())
                .as("the old record stays")
                .isEqualTo("SIGNED");
        ines.post(inspection + "/amend", "{'reason':'again'}").expect(409);
        JsonNode second = ines.sign("/api/inspections/" + next.get("id").asString(), "reject")
                .expect(200)
                .json();
        assertThat(ines.get("/api/inspections/" + second.get("id").asString() + "/record")
                        .text())
                .contains(old.get("signature").get("sha256").asString());
        JsonNode row =
                ines.get("/api/joints?find=G5&group=all").json().get("rows").get(0);
        assertThat(row.get("verdict").asString())
                .as("signed again without a change, still a reject")
                .isEqualTo("reject");
        assertThat(row.get("group").asString()).isEqualTo("disposition");
        assertThat(row.get("rejects").asInt()).isEqualTo(1);
        String check = "/api/jobs/" + row.get("jobId").asString() + "/chain/check";
        assertThat(ines.get(check).expect(200).text()).doesNotContain("fault");
    }

    @Test
    void anAmendedRecordGoesOnCountingItsEntries() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("G8");
        ines.add(inspection, "INDICATION", CRACK).expect(200);
        ines.sign(inspection, "reject").expect(200);
        String next = "/api/inspections/"
                + ines.post(inspection + "/amend", "{'reason':'one more'}")
                        .expect(200)
                        .json()
                        .get("id")
                        .asString();
        ines.add(next, "READING", "'at':'3','legA':'5/16','legB':'5/16'").expect(200);
        assertThat(RunningMensor.bean(JdbcTemplate.class)
                        .queryForList(
                                "select sequence from entry where inspection_id = ? order by sequence",
                                Integer.class,
                                UUID.fromString(next.substring("/api/inspections/".length()))))
                .containsExactly(1, 2);
    }

    @Test
    void eachRoleDoesItsOwnPart() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("G6");
        for (String who : new String[] {"rufus", "wanda", "quinn", "vera"}) {
            TestBrowser b = RunningMensor.as(who);
            b.add(inspection, "INDICATION", CRACK).expect(403);
            b.put(inspection + "/conditions", "{'cleaned':true}").expect(403);
            b.post(inspection + "/amend", "{'reason':'x'}").expect(403);
            b.post(inspection + "/sign", "{'version':0,'verdict':'reject','capacity':'QC'}")
                    .expect(403);
        }
        for (String who : new String[] {"ines", "rufus", "wanda", "vera"}) {
            RunningMensor.as(who)
                    .post("/api/people", "{'login':'zz','name':'Z','roles':['VIEWER'],'password':'a-long-password'}")
                    .expect(403);
        }
        RunningMensor.as("rufus")
                .post("/api/joints", TestBrowser.newJoint("G7"))
                .expect(403);
        RunningMensor.as("vera").post("/api/joints", TestBrowser.newJoint("G7")).expect(403);
        TestBrowser vera = RunningMensor.as("vera");
        vera.get(inspection).expect(403);
        ines.add(inspection, "INDICATION", CRACK).expect(200);
        ines.sign(inspection, "reject").expect(200);
        vera.get(inspection).expect(200);
        assertThat(vera.get("/api/joints").json().get("rows").valueStream())
                .allMatch(r -> r.get("signed").asBoolean());
    }

    @Test
    void aSignedJointCanNoLongerBeChanged() {
        TestBrowser ines = RunningMensor.as("ines");
        String inspection = ines.inspection("G8");
        String joint = "/api/joints/"
                + ines.get(inspection).json().get("joint").get("id").asString();
        String form = TestBrowser.newJoint("G8").replace("'length':'24'", "'length':'30'");
        ines.put(joint, "{'version':0,'form':" + form + "}").expect(200);
        ines.put(joint, "{'version':0,'form':" + form + "}").expect(409);
        ines.add(inspection, "INDICATION", "'kind':'crack','at':'29'").expect(200);
        String shorter = TestBrowser.newJoint("G8");
        assertThat(ines.put(joint, "{'version':1,'form':" + shorter + "}")
                        .expect(422)
                        .detail())
                .contains("past the weld's end");
        ines.sign(inspection, "reject").expect(200);
        ines.put(joint, "{'version':1,'form':" + form.replace("'30'", "'31'") + "}")
                .expect(409);
        ines.delete(inspection + "/entries/" + UUID.randomUUID() + "?version=0").expect(409);
    }
}
