package gotera.web.report;

import org.springframework.data.jpa.repository.JpaRepository;

interface LetterheadRecords extends JpaRepository<LetterheadRecord, Integer> {}
