package gotera.web.voice;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface VoiceRecords extends JpaRepository<VoiceRecord, UUID> {}
