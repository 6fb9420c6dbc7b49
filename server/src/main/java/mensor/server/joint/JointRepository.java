package mensor.server.joint;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

public interface JointRepository extends JpaRepository<JointEntity, UUID> {
    List<JointEntity> findAllByOrderByJobAscLotAscMarkAscWeldNoAscSideAsc();
}
