package gotera.web.circuit;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PhotoRecords extends JpaRepository<PhotoRecord, UUID> {}
