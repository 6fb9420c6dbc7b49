package mensor.server.testpiece;

import org.springframework.data.jpa.repository.JpaRepository;

interface DrillRepository extends JpaRepository<DrillEntity, String> {}
