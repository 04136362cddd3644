package gotera.testkit.notices;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.SAXException;

/** Reads what is shipped: libraries from the list that the build makes, packages of the styles. */
final class Parts {
  private static final Pattern TEXT =
      Pattern.compile("(^|/)(LICEN[SC]E|NOTICE|COPYING|COPYRIGHT)[^/]*$", Pattern.CASE_INSENSITIVE);

  /** The group of our own modules: they are not from others. */
  private static final String OURS = "gotera";

  private Parts() {}

  /**
   * The libraries of a list of parts (CycloneDX, XML).
   *
   * @param repository the local Maven repository they lie in
   */
  static List<Part> libraries(Path list, Path repository) throws IOException {
    List<Part> all = new ArrayList<>();
    try (InputStream in = Files.newInputStream(list)) {
      DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
      factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
      NodeList components =
          factory.newDocumentBuilder().parse(in).getElementsByTagName("component");
      for (int i = 0; i < components.getLength(); i++) {
        Element component = (Element) components.item(i);
        String group = child(component, "group");
        // what made the list stands in it too, under its own head
        boolean isPart =
            component.getParentNode().getNodeName().equals("components")
                && component.getParentNode().getParentNode().getNodeName().equals("bom");
        if (isPart && !group.equals(OURS)) {
          all.add(library(component, group, repository));
        }
      }
    } catch (ParserConfigurationException | SAXException e) {
      throw new IOException("no list of parts: " + list, e);
    }
    // what packs the application puts a part of itself into it
    all.stream()
        .filter(p -> p.name().equals("spring-boot"))
        .findFirst()
        .map(
            p ->
                new Part(
                    p.group(), p.name() + "-jarmode-tools", p.version(), p.licences(), p.texts()))
        .ifPresent(all::add);
    all.sort(Comparator.comparing(Part::title));
    return all;
  }

  private static Part library(Element component, String group, Path repository) throws IOException {
    String name = child(component, "name");
    String version = child(component, "version");
    List<String> licences = new ArrayList<>();
    NodeList found = component.getElementsByTagName("license");
    for (int i = 0; i < found.getLength(); i++) {
      Element licence = (Element) found.item(i);
      String id = child(licence, "id");
      licences.add(id.isEmpty() ? child(licence, "name") : id);
    }
    found = component.getElementsByTagName("expression");
    for (int i = 0; i < found.getLength(); i++) {
      licences.addAll(List.of(found.item(i).getTextContent().split(" (?:OR|AND) ")));
    }
    Path jar =
        repository
            .resolve(group.replace('.', '/'))
            .resolve(name)
            .resolve(version)
            .resolve(name + "-" + version + ".jar");
    return new Part(group, name, version, licences, Files.exists(jar) ? texts(jar) : List.of());
  }

  private static String child(Element of, String name) {
    for (var n = of.getFirstChild(); n != null; n = n.getNextSibling()) {
      if (n.getNodeName().equals(name)) {
        return n.getTextContent().strip();
      }
    }
    return "";
  }

  private static List<String> texts(Path jar) throws IOException {
    List<String> texts = new ArrayList<>();
    try (ZipFile zip = new ZipFile(jar.toFile())) {
      for (ZipEntry entry : zip.stream().map(ZipEntry.class::cast).toList()) {
        boolean isText =
            !entry.isDirectory()
                && TEXT.matcher(entry.getName()).find()
                && !entry.getName().toLowerCase(Locale.ROOT).endsWith(".class");
        if (isText) {
          try (InputStream in = zip.getInputStream(entry)) {
            texts.add(new String(in.readAllBytes(), StandardCharsets.UTF_8));
          }
        }
      }
    }
    return texts;
  }

  /** The packages that the styles ship: the dependencies their list names, not what builds them. */
  static List<Part> packages(Path styles) throws IOException {
    String named = Files.readString(styles.resolve("package.json"));
    Matcher block = Pattern.compile("\"dependencies\"\\s*:\\s*\\{([^}]*)}").matcher(named);
    List<Part> all = new ArrayList<>();
    if (block.find()) {
      Matcher one = Pattern.compile("\"([^\"]+)\"\\s*:\\s*\"([^\"]+)\"").matcher(block.group(1));
      while (one.find()) {
        Path folder = styles.resolve("node_modules").resolve(one.group(1));
        all.add(
            new Part(
                "",
                one.group(1),
                one.group(2),
                List.of(licence(folder.resolve("package.json"))),
                texts(folder, one.group(1))));
      }
    }
    return all;
  }

  private static String licence(Path description) throws IOException {
    Matcher found =
        Pattern.compile("\"license\"\\s*:\\s*\"([^\"]+)\"").matcher(Files.readString(description));
    return found.find() ? found.group(1) : "";
  }

  private static List<String> texts(Path folder, String name) throws IOException {
    List<String> texts = new ArrayList<>();
    try (Stream<Path> files = Files.list(folder)) {
      for (Path file : files.sorted().toList()) {
        if (Files.isRegularFile(file) && TEXT.matcher(file.getFileName().toString()).find()) {
          texts.add(Files.readString(file));
        }
      }
    }
    if (texts.isEmpty()) {
      throw new IOException("package " + name + " brings no licence");
    }
    return texts;
  }
}
