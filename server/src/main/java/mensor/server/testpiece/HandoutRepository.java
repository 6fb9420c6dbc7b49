package mensor.server.testpiece;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface HandoutRepository extends JpaRepository<HandoutEntity, UUID> {
    List<HandoutEntity> findByWithdrawnFalseOrderByDue();

    List<HandoutEntity> findByWelderAndWithdrawnFalseOrderByDue(String welder);
}
