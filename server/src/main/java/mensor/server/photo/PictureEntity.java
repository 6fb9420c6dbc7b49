package mensor.server.photo;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.hibernate.Length;

/** A picture under the hash of its bytes. */
@Entity
@Table(name = "photo_file")
class PictureEntity {
    @Id
    private String sha256;

    private String type;
    private int width;
    private int height;

    @Column(length = Length.LONG32)
    private byte[] bytes;

    @Column(length = Length.LONG32)
    private byte[] thumbnail;

    protected PictureEntity() {}

    PictureEntity(String sha256, PictureFile file) {
        this.sha256 = sha256;
        this.type = file.type();
        this.width = file.width();
        this.height = file.height();
        this.bytes = file.bytes();
        this.thumbnail = file.thumbnail();
    }

    PictureFile file() {
        return new PictureFile(type, width, height, bytes, thumbnail);
    }
}
