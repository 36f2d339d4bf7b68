package goodbones.server.fonts;

/**
 * A font file of a client's own.
 *
 * @param least the lightest weight that it holds
 * @param greatest the heaviest
 * @param licence what was noted of its licence
 */
public record ClientFontView(
    String id, String family, int least, int greatest, String format, String licence) {}
