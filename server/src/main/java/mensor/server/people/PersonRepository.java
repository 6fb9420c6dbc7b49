package mensor.server.people;

import jakarta.persistence.LockModeType;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface PersonRepository extends JpaRepository<Person, UUID> {
    Optional<Person> findByLogin(String login);

    List<Person> findAllByOrderByName();

    /** Everybody, held: two managers who change roles at once do so one after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select p from Person p order by p.id")
    List<Person> findAllForRoles();
}
