package goodbones.document;

/** What an edit made: the new tree, and the edit that brings the old one back. */
public record Edited(Node root, Edit inverse) {}
