package gotera.web.frame;

import gotera.web.storage.Hashes;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Duration;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.springframework.boot.autoconfigure.web.WebProperties;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.http.CacheControl;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Styles, scripts and fonts at an address that changes with their content, so that a device fetches
 * each once: modules import each other by relative addresses and stay under it.
 */
@Component("assets")
public class Assets implements WebMvcConfigurer {
  private static final Duration LONG = Duration.ofDays(365);
  private static final int DIGITS = 16;
  private static final List<String> FOLDERS = List.of("js", "styles", "fonts");

  private final String[] locations;
  private final String root;
  private final CacheControl cache;

  Assets(WebProperties web) throws IOException {
    locations = web.getResources().getStaticLocations();
    // from their source they may change while it runs
    boolean change = Arrays.stream(locations).anyMatch(l -> l.startsWith("file:"));
    cache = change ? CacheControl.noCache() : CacheControl.maxAge(LONG).cachePublic().immutable();
    root = "/static/" + hash() + "/";
  }

  /** Address of a file, for example of {@code js/gotera.js}. */
  public String at(String file) {
    return root + file;
  }

  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    registry.addResourceHandler(root + "**").addResourceLocations(locations).setCacheControl(cache);
  }

  private String hash() throws IOException {
    ByteArrayOutputStream all = new ByteArrayOutputStream();
    for (String folder : FOLDERS) {
      for (String location : locations) {
        // the one with a star is silent where a location is not there
        String pattern = location.replace("classpath:", "classpath*:") + folder + "/*";
        Resource[] files = new PathMatchingResourcePatternResolver().getResources(pattern);
        for (Resource file :
            Arrays.stream(files).sorted(Comparator.comparing(Resource::getFilename)).toList()) {
          if (file.isReadable()) {
            all.write(file.getContentAsByteArray());
          }
        }
      }
    }
    return Hashes.sha256(all.toByteArray()).substring(0, DIGITS);
  }
}
