package gotera.web.job;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Completes the pages of a job: a controller names job, step and figures, and the rail and what
 * features contribute are added, so that no feature needs to know another.
 */
@Configuration
class JobPageInterceptor implements WebMvcConfigurer, HandlerInterceptor {
  private static final Logger LOG = LoggerFactory.getLogger(JobPageInterceptor.class);

  private final JobService jobs;
  private final Rail rail;
  private final JobMemo memo;
  private final List<JobPageContributor> contributors;

  JobPageInterceptor(
      JobService jobs, Rail rail, JobMemo memo, List<JobPageContributor> contributors) {
    this.jobs = jobs;
    this.rail = rail;
    this.memo = memo;
    this.contributors = contributors;
  }

  @Override
  public void addInterceptors(InterceptorRegistry registry) {
    registry.addInterceptor(this).addPathPatterns("/jobs/**", "/tests/**");
  }

  @Override
  public void postHandle(
      HttpServletRequest request,
      HttpServletResponse response,
      Object handler,
      @Nullable ModelAndView page) {
    if (page == null || !(page.getModel().get("place") instanceof JobPlace place)) {
      return;
    }
    Map<String, Object> model = page.getModel();
    model.put("seq", memo.seq(place.jobId()));
    model.put("job", jobs.require(place.jobId()));
    Rail.Shown shown = rail.at(place.jobId(), place.step());
    model.put("rail", shown.steps());
    model.put("way", shown.way());
    for (JobPageContributor contributor : contributors) {
      try {
        contributor.contribute(place.jobId(), place.step(), place.figures(), model);
      } catch (RuntimeException e) {
        // the page stands without it, and says that something is missing
        LOG.error("{} of job {} cannot be read", contributor.getClass(), place.jobId(), e);
        model.put("missing", true);
      }
    }
  }
}
