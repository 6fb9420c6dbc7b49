package mensor.server.testpiece;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PieceRepository extends JpaRepository<PieceEntity, UUID> {
    String SOUGHT = """
            from PieceEntity p where p.withdrawn = false and (:welder is null or p.welder = :welder)
              and (:find = '' or lower(p.number) like lower(concat('%', :find, '%')) or lower(p.welder) like lower(concat('%', :find, '%'))
                   or lower(coalesce(p.drill, '')) like lower(concat('%', :find, '%')))
            """;

    @Query("select p " + SOUGHT + " order by p.made desc, p.recordedAt desc")
    List<PieceEntity> sought(String welder, String find, Limit limit);

    @Query("select count(p) " + SOUGHT)
    long count(String welder, String find);

    /** Those with specimens, of their own or of their weld. */
    @Query("""
            select p from PieceEntity p where p.withdrawn = false and exists (
              select s.id from SpecimenEntity s where s.withdrawn = false and (s.pieceId = p.id or s.jointId = p.jointId))
            """)
    List<PieceEntity> tested();

    /** The welds at the bench that have a piece. */
    @Query("select p.jointId from PieceEntity p where p.withdrawn = false and p.jointId is not null")
    Set<UUID> joints();

    boolean existsByWelderAndDrillAndMadeGreaterThanEqualAndWithdrawnFalse(String welder, String drill, LocalDate from);

    List<PieceEntity> findByWelderAndWithdrawnFalseOrderByMadeAscRecordedAtAsc(String welder);

    Optional<PieceEntity> findByJointId(UUID jointId);
}
