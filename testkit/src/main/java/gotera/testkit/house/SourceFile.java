package gotera.testkit.house;

import com.github.javaparser.JavaParser;
import com.github.javaparser.ParserConfiguration;
import com.github.javaparser.ast.CompilationUnit;
import com.github.javaparser.ast.Node;
import com.github.javaparser.ast.body.CallableDeclaration;
import com.github.javaparser.ast.body.FieldDeclaration;
import com.github.javaparser.ast.body.RecordDeclaration;
import com.github.javaparser.ast.expr.DoubleLiteralExpr;
import com.github.javaparser.ast.expr.IntegerLiteralExpr;
import com.github.javaparser.ast.nodeTypes.NodeWithName;
import com.github.javaparser.ast.nodeTypes.NodeWithRange;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * One file of Java source.
 *
 * @param path where it is
 * @param lines how many lines it has
 * @param methods its methods and constructors
 * @param records its records, as what takes parameters
 * @param numbers its numbers with a fraction or an exponent, and whole ones that are quantities
 * @param room its package
 * @param asks packages it names: those of its imports
 */
public record SourceFile(
    Path path,
    int lines,
    List<Taking> methods,
    List<Taking> records,
    List<Literal> numbers,
    String room,
    Set<String> asks) {

  /**
   * Something that takes parameters.
   *
   * @param name its name
   * @param line where it begins
   * @param lines how long it is
   * @param parameters how many it takes
   */
  public record Taking(String name, int line, int lines, int parameters) {}

  /**
   * A number in the source.
   *
   * @param line its line
   * @param text as it is written
   * @param quantity whether it is a whole number that is a quantity by its documentation
   */
  public record Literal(int line, String text, boolean quantity) {
    /** Its value. */
    public double value() {
      return Double.parseDouble(text.replace("_", ""));
    }
  }

  /** The files below a folder, in order of their paths. */
  public static List<SourceFile> below(Path folder) {
    return Files.isDirectory(folder)
        ? READ.computeIfAbsent(folder.toAbsolutePath().normalize(), SourceFile::readBelow)
        : List.of();
  }

  /** Each folder is read once in a run. */
  private static final Map<Path, List<SourceFile>> READ = new ConcurrentHashMap<>();

  private static List<SourceFile> readBelow(Path folder) {
    try (Stream<Path> all = Files.walk(folder)) {
      return all.filter(p -> p.toString().endsWith(".java"))
          .sorted()
          .map(SourceFile::read)
          .toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static SourceFile read(Path path) {
    try {
      String text = Files.readString(path);
      CompilationUnit unit =
          new JavaParser(
                  new ParserConfiguration()
                      .setLanguageLevel(ParserConfiguration.LanguageLevel.JAVA_17))
              .parse(text)
              .getResult()
              .orElseThrow(() -> new IllegalStateException("not Java: " + path));
      List<Taking> methods = new ArrayList<>();
      unit.findAll(CallableDeclaration.class)
          .forEach(c -> methods.add(taking(c.getNameAsString(), c, c.getParameters().size())));
      List<Taking> records = new ArrayList<>();
      unit.findAll(RecordDeclaration.class)
          .forEach(r -> records.add(taking(r.getNameAsString(), r, r.getParameters().size())));
      List<Literal> numbers =
          unit.findAll(DoubleLiteralExpr.class).stream()
              .map(d -> new Literal(line(d), d.getValue().replaceAll("[dDfF]$", ""), false))
              .collect(Collectors.toCollection(ArrayList::new));
      numbers.addAll(measures(unit));
      return new SourceFile(
          path,
          (int) text.lines().count(),
          List.copyOf(methods),
          List.copyOf(records),
          numbers,
          unit.getPackageDeclaration().map(NodeWithName::getNameAsString).orElse(""),
          asks(unit));
    } catch (IOException e) {
      throw new UncheckedIOException(path.toString(), e);
    }
  }

  /** A unit of the trade in round brackets: what it stands beside is a quantity. */
  private static final Pattern UNIT =
      Pattern.compile("\\((min|h|d|mL|L|kPa|\u00b0C|K|mm|cm\u00b2|mL/min|%)\\)");

  private static List<Literal> measures(CompilationUnit unit) {
    List<Literal> found = new ArrayList<>();
    for (FieldDeclaration field : unit.findAll(FieldDeclaration.class)) {
      boolean quantity =
          field.isStatic()
              && field.isFinal()
              && field.getComment().filter(c -> UNIT.matcher(c.getContent()).find()).isPresent();
      if (quantity) {
        field
            .findAll(IntegerLiteralExpr.class)
            .forEach(i -> found.add(new Literal(line(i), i.getValue(), true)));
      }
    }
    return found;
  }

  /** What is imported, without its class: class names begin with a capital. */
  private static Set<String> asks(CompilationUnit unit) {
    return unit.getImports().stream()
        .map(i -> i.getNameAsString().replaceAll("\\.\\p{Lu}.*", ""))
        .collect(Collectors.toUnmodifiableSet());
  }

  private static Taking taking(String name, NodeWithRange<?> node, int parameters) {
    int begin = node.getBegin().orElseThrow().line;
    return new Taking(name, begin, node.getEnd().orElseThrow().line - begin + 1, parameters);
  }

  private static int line(Node node) {
    return node.getBegin().orElseThrow().line;
  }
}
