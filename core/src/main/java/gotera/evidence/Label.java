package gotera.evidence;

/** What a piece of evidence or a check is called; its text is what files write. */
public interface Label {}
