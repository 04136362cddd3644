package gotera.web.circuit;

import gotera.circuit.Features.Drive;
import gotera.web.figures.Figures;
import gotera.web.job.JobPageContributor;
import gotera.work.Step;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tells every page of a job whether its loops cool high-voltage parts. */
@Component
class ElectricContributor implements JobPageContributor {
  private final EngineTypeService types;

  ElectricContributor(EngineTypeService types) {
    this.types = types;
  }

  @Override
  public void contribute(UUID jobId, Step step, Figures figures, Map<String, Object> model) {
    model.put("electric", types.features(jobId).drive() == Drive.ELECTRIC);
  }
}
