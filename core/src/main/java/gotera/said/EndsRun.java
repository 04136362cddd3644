package gotera.said;

/** The step that ends a run of a check that is led; what comes later begins another. */
public interface EndsRun {}
