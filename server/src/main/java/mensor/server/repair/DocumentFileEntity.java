package mensor.server.repair;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.hibernate.Length;

/** A document as it was sent, under the hash of its bytes. */
@Entity
@Table(name = "document_file")
class DocumentFileEntity {
    @Id
    private String sha256;

    private String type;

    @Column(length = Length.LONG32)
    private byte[] bytes;

    protected DocumentFileEntity() {}

    DocumentFileEntity(String sha256, String type, byte[] bytes) {
        this.sha256 = sha256;
        this.type = type;
        this.bytes = bytes.clone();
    }

    String type() {
        return type;
    }

    byte[] bytes() {
        return bytes.clone();
    }
}
