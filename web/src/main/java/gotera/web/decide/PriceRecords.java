package gotera.web.decide;

import org.springframework.data.jpa.repository.JpaRepository;

interface PriceRecords extends JpaRepository<PriceRecord, String> {}
