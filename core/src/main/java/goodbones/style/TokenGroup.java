package goodbones.style;

/**
 * A group of tokens, with what a file says about it.
 *
 * @param name its words with dots between; empty for the outermost
 * @param extras a JSON object of the group's own members, such as its description
 */
public record TokenGroup(String name, String extras) {}
