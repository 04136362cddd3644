package gotera.web.photo;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PhotoRecords extends JpaRepository<PhotoRecord, UUID> {}
