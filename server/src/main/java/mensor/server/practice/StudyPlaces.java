package mensor.server.practice;

import java.util.Comparator;
import java.util.List;
import mensor.server.people.Actor;
import mensor.server.practice.ExerciseView.StudyPlaceView;
import mensor.server.study.Studies;
import org.springframework.stereotype.Component;

/** Where an exercise stands in its agreement study; one that is in no study is its own. */
@Component
class StudyPlaces {
    private final ExerciseRepository exercises;
    private final Studies studies;

    StudyPlaces(ExerciseRepository exercises, Studies studies) {
        this.exercises = exercises;
        this.studies = studies;
    }

    private List<ExerciseEntity> own(ExerciseEntity e) {
        return exercises.findByStudyId(e.studyId()).stream()
                .filter(o -> o.personId().equals(e.personId()))
                .sorted(Comparator.comparingInt(ExerciseEntity::place))
                .toList();
    }

    /** The first of the person's that is not handed in. */
    boolean isNext(ExerciseEntity e, Actor actor) {
        return e.personId().equals(actor.id())
                && own(e).stream()
                        .filter(o -> !o.isHandedIn())
                        .findFirst()
                        .filter(o -> o.id().equals(e.id()))
                        .isPresent();
    }

    /** Everybody handed in: until then no answer is shown to anybody. */
    boolean isOver(ExerciseEntity e) {
        return e.studyId() == null
                || exercises.findByStudyId(e.studyId()).stream().allMatch(ExerciseEntity::isHandedIn);
    }

    StudyPlaceView place(ExerciseEntity e) {
        return new StudyPlaceView(e.studyId(), studies.titleOf(e.studyId()), e.place() + 1, own(e).size());
    }
}
