package gotera.web.figures;

import gotera.web.settings.WorkshopProperties;
import java.util.List;
import java.util.TimeZone;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** What every controller may ask for. */
@Configuration
class ShellConfiguration implements WebMvcConfigurer {
  private final FiguresResolver figures;

  ShellConfiguration(ChosenUnits units, WorkshopProperties workshop) {
    this.figures = new FiguresResolver(units);
    // moments are written, and days begin, in the workshop's time
    TimeZone.setDefault(TimeZone.getTimeZone(workshop.zone()));
  }

  @Override
  public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
    resolvers.add(figures);
  }

  @Override
  public void addInterceptors(InterceptorRegistry registry) {
    registry.addInterceptor(figures).order(0);
  }
}
