package mensor.server.testpiece;

import java.util.List;
import java.util.Optional;
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

    List<PieceEntity> findByWelderAndWithdrawnFalseOrderByMadeAscRecordedAtAsc(String welder);

    Optional<PieceEntity> findByJointId(UUID jointId);
}
