package mensor.server.repair;

import org.springframework.data.jpa.repository.JpaRepository;

interface DocumentFileRepository extends JpaRepository<DocumentFileEntity, String> {}
