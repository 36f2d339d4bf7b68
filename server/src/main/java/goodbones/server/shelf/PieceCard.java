package goodbones.server.shelf;

import goodbones.server.library.Reach;
import java.time.Instant;
import java.util.List;

/**
 * A piece as the library lists it.
 *
 * @param kind section-template, saved-block, header or footer
 * @param purpose what it is for, by its word
 * @param siteId the one client that it belongs to; empty for all
 * @param current the newest revision; 0 for a draft only
 * @param root the kind of its outermost node, which says where it can stand
 * @param variants how many forms it has besides its own
 * @param words what it says, for searching
 * @param changed when it was worked on last
 * @param behind names of the sites that show an older revision
 * @param etag of what is said of it
 */
record PieceCard(
    String id,
    String name,
    String kind,
    String purpose,
    List<String> tags,
    String notes,
    String siteId,
    String root,
    int current,
    boolean draft,
    boolean retired,
    int variants,
    String words,
    Instant changed,
    Reach reach,
    List<String> behind,
    String etag) {}
