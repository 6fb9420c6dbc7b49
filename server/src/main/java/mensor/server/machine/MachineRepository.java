package mensor.server.machine;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface MachineRepository extends JpaRepository<MachineEntity, UUID> {
    List<MachineEntity> findAllByOrderByName();

    Optional<MachineEntity> findByName(String name);
}
