package gotera.web.decide;

import org.springframework.data.jpa.repository.JpaRepository;

interface ShopRecords extends JpaRepository<ShopRateRecord, Integer> {}
