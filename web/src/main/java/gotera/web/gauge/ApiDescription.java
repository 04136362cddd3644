package gotera.web.gauge;

import io.swagger.v3.oas.models.Components;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.security.SecurityScheme;
import io.swagger.v3.oas.models.servers.Server;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What stands above the description of the addresses that devices speak to. */
@Configuration
class ApiDescription {
  @Bean
  OpenAPI description() {
    return new OpenAPI()
        .info(
            new Info()
                .title("Gotera, for devices")
                .version("1")
                .description(
                    "A gauge pairs once by a code and then sends what it reads. Nothing it sends"
                        + " leaves the workshop."))
        .servers(List.of(new Server().url("/").description("the workshop's own address")))
        .components(
            new Components()
                .addSecuritySchemes(
                    "gauge",
                    new SecurityScheme()
                        .type(SecurityScheme.Type.HTTP)
                        .scheme("bearer")
                        .description("The token that pairing gave")));
  }
}
