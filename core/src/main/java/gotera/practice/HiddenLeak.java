package gotera.practice;

import gotera.evidence.Mode;

/**
 * What is wrong with a practice vehicle.
 *
 * @param place where it leaks
 * @param mode when it leaks
 * @param rate what it loses at the usual pressure while it does (mL/min), above 0
 */
public record HiddenLeak(String place, Mode mode, double rate) {}
