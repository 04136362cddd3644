package gotera.web.chain;

import org.springframework.data.jpa.repository.JpaRepository;

interface InstallationKeyRecords extends JpaRepository<InstallationKeyRecord, Integer> {}
