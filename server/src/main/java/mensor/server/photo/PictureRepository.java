package mensor.server.photo;

import org.springframework.data.jpa.repository.JpaRepository;

interface PictureRepository extends JpaRepository<PictureEntity, String> {}
