package gotera.web.pressure.plan;

import gotera.web.pressure.Phase;
import gotera.web.pressure.setup.SetupForm;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.web.util.UriComponentsBuilder;

/** What a set-up and its plan hand to each other, in their addresses: nothing is stored. */
final class Carried {
  private static final Set<String> OF_A_PLAN = names(PlanForm.class);
  private static final Set<String> OF_A_SET_UP = names(SetupForm.class);

  private Carried() {}

  private static Set<String> names(Class<? extends Record> form) {
    return Arrays.stream(form.getRecordComponents())
        .map(RecordComponent::getName)
        .collect(Collectors.toUnmodifiableSet());
  }

  /** What only a set-up asks for, as it was typed there. */
  static Map<String, String> ofSetUp(Map<String, String> typed) {
    Map<String, String> carried = new LinkedHashMap<>();
    typed.forEach(
        (name, said) -> {
          if (OF_A_SET_UP.contains(name) && !OF_A_PLAN.contains(name) && !said.isBlank()) {
            carried.put(name, said);
          }
        });
    return carried;
  }

  /** Where a hold is planned, with what stands in both forms. */
  static String toPlan(UUID id, Phase phase, PlanForm form, Map<String, String> setUp) {
    Map<String, String> all = ofSetUp(setUp);
    all.put("pressure", form.pressure());
    all.put("gaugeStep", form.gaugeStep());
    all.put("interval", form.interval());
    all.put("air", form.air());
    all.put("hose", form.hose());
    all.put("known", form.known());
    all.put("warmth", form.warmth());
    all.put("thermometerStep", form.thermometerStep());
    all.put("soakHours", form.soakHours());
    all.put("drift", form.drift());
    all.put("liquid", form.liquid());
    all.put("strength", form.strength());
    all.put("purpose", form.purpose());
    all.put("rulePressure", form.rulePressure());
    all.put("ruleMinutes", form.ruleMinutes());
    all.put("ruleDrop", form.ruleDrop());
    return address(id, phase, "/plan", all);
  }

  /**
   * Where the planned test is begun.
   *
   * @param measured whether what air and hoses give was measured in this job
   */
  static String toSetUp(
      UUID id, Phase phase, PlanForm form, boolean measured, Map<String, String> setUp) {
    boolean soaks = SetupForm.SOAKS.contains(form.warmth());
    Map<String, String> all = new LinkedHashMap<>();
    all.put("again", "true");
    all.putAll(ofSetUp(setUp));
    all.put("gaugeStep", form.gaugeStep());
    all.put("purpose", form.purpose());
    all.put("liquid", form.liquid());
    all.put("strength", form.strength());
    all.put("soak", soaks ? form.warmth() : "unknown");
    all.put("soakHours", soaks ? form.soakHours() : "");
    all.put("thermometerStep", form.warmth().equals("probe") ? form.thermometerStep() : "");
    all.put("rulePressure", form.rulePressure());
    all.put("ruleMinutes", form.ruleMinutes());
    all.put("ruleDrop", form.ruleDrop());
    if (measured && form.known().equals("measured")) {
      all.put("compliance", "kept");
    }
    return address(id, phase, "", all);
  }

  private static String address(UUID id, Phase phase, String page, Map<String, String> all) {
    UriComponentsBuilder uri =
        UriComponentsBuilder.fromPath("/jobs/" + id + "/" + phase.step().word() + page);
    Map<String, Object> said = new LinkedHashMap<>();
    all.forEach(
        (name, value) -> {
          if (!value.isEmpty()) {
            uri.queryParam(name, "{" + name + "}");
            said.put(name, value);
          }
        });
    return uri.encode().buildAndExpand(said).toUriString();
  }
}
