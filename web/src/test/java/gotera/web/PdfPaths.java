package gotera.web;

import java.awt.geom.Point2D;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.contentstream.PDFGraphicsStreamEngine;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;

/** The lines that a PDF draws, as a general library reads them: each as its corners. */
final class PdfPaths extends PDFGraphicsStreamEngine {
  private final List<List<Point2D>> paths = new ArrayList<>();

  private PdfPaths(PDPage page) {
    super(page);
  }

  /** Every line of a document, on the page it is on. */
  static List<List<Point2D>> of(PDDocument document) throws IOException {
    List<List<Point2D>> all = new ArrayList<>();
    for (PDPage page : document.getPages()) {
      PdfPaths reader = new PdfPaths(page);
      reader.processPage(page);
      all.addAll(reader.paths);
    }
    return all;
  }

  @Override
  public void moveTo(float x, float y) {
    paths.add(new ArrayList<>(List.of(new Point2D.Double(x, y))));
  }

  @Override
  public void lineTo(float x, float y) {
    paths.get(paths.size() - 1).add(new Point2D.Double(x, y));
  }

  @Override
  public void curveTo(float x1, float y1, float x2, float y2, float x3, float y3) {
    lineTo(x3, y3);
  }

  @Override
  public Point2D getCurrentPoint() {
    List<Point2D> last = paths.get(paths.size() - 1);
    return last.get(last.size() - 1);
  }

  @Override
  public void appendRectangle(Point2D a, Point2D b, Point2D c, Point2D d) {
    paths.add(List.of(a, b, c, d));
  }

  @Override
  public void drawImage(PDImage image) {
    // no line
  }

  @Override
  public void clip(int rule) {
    // what is clipped is drawn all the same
  }

  @Override
  public void closePath() {
    // its corners are known
  }

  @Override
  public void endPath() {
    // nothing to paint
  }

  @Override
  public void strokePath() {
    // nothing to paint
  }

  @Override
  public void fillPath(int rule) {
    // nothing to paint
  }

  @Override
  public void fillAndStrokePath(int rule) {
    // nothing to paint
  }

  @Override
  public void shadingFill(COSName shading) {
    // no line
  }
}
