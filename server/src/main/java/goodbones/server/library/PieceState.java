package goodbones.server.library;

import goodbones.document.Node;

/**
 * A piece as it stands.
 *
 * @param current the newest revision; 0 for a draft only
 * @param root what is being worked on: the draft, or else the current revision's tree
 * @param draft whether the draft differs from the current revision
 */
public record PieceState(
    String id, String name, int current, Node root, boolean draft, long version) {}
