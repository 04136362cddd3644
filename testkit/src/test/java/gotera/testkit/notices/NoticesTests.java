package gotera.testkit.notices;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class NoticesTests {
  private static final Path LICENCES = Path.of("..", "docs", "licenses");

  private static final String LIST =
      """
      <bom><metadata><component type="application"><group>gotera</group><name>gotera-web</name>
        <version>1</version></component></metadata>
      <components>
        <component type="library"><group>a.b</group><name>brings</name><version>1.0</version>
          <licenses><license><id>Apache-2.0</id></license></licenses></component>
        <component type="library"><group>gotera</group><name>gotera-core</name><version>1</version></component>
      </components></bom>
      """;

  private static void zip(Path file, String... entries) throws IOException {
    Files.createDirectories(file.getParent());
    try (OutputStream out = Files.newOutputStream(file);
        ZipOutputStream zip = new ZipOutputStream(out)) {
      for (String entry : entries) {
        zip.putNextEntry(new ZipEntry(entry));
        zip.write(("the license in " + entry).getBytes(java.nio.charset.StandardCharsets.UTF_8));
      }
    }
  }

  @Test
  void aLibraryIsNamedWithTheTextItBrings(@TempDir Path folder) throws IOException {
    Path list = Files.writeString(folder.resolve("list.xml"), LIST);
    zip(folder.resolve("a/b/brings/1.0/brings-1.0.jar"), "META-INF/LICENSE.txt", "a/B.class");
    List<Part> parts = Parts.libraries(list, folder);
    assertThat(parts).extracting(Part::title).containsExactly("a.b:brings 1.0");
    assertThat(Notices.text(parts, LICENCES))
        .contains("a.b:brings 1.0: Apache-2.0; text 1")
        .contains("the license in META-INF/LICENSE.txt");
  }

  @Test
  void oneThatBringsNoneHasTheTextOfItsLicence() throws IOException {
    Part apache = new Part("a", "b", "1", List.of("The Apache Software License"), List.of());
    Part held = new Part("com.nulab-inc", "zxcvbn", "1", List.of("MIT"), List.of());
    assertThat(Notices.text(List.of(apache, held), LICENCES))
        .contains("Apache License")
        .contains("Copyright (c) 2014 Nulab Inc");
  }

  /** Of neither a text nor a holder the build must not keep silent. */
  @Test
  void oneWithoutAnyTextFails() {
    Part unknown = new Part("a", "odd", "1", List.of("Our own terms"), List.of());
    Part without = new Part("a", "nobodys", "1", List.of("MIT"), List.of());
    assertThatThrownBy(() -> Notices.text(List.of(unknown, without), LICENCES))
        .hasMessageContaining("a:odd 1")
        .hasMessageContaining("a:nobodys 1");
  }

  @Test
  void whatIsShippedIsHeldAgainstTheList(@TempDir Path folder) throws IOException {
    Path list = Files.writeString(folder.resolve("list.xml"), LIST);
    Path packed = folder.resolve("in/application.jar");
    zip(packed, "BOOT-INF/lib/brings-1.0.jar", "BOOT-INF/lib/gotera-core-1.jar");
    Shipped.check(list, packed);
    zip(packed, "BOOT-INF/lib/other-2.jar");
    assertThatThrownBy(() -> Shipped.check(list, packed))
        .hasMessageContaining("not listed: [other-2.jar]")
        .hasMessageContaining("not shipped: [brings-1.0.jar]");
  }
}
