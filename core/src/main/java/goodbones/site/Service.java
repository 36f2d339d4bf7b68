package goodbones.site;

import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A service at which clients have pages of their own.
 *
 * @param name what it is called
 * @param icon the mark for its kind of service
 */
public record Service(String name, String icon) {
  private record Known(String host, Service service) {}

  /** By the host of its addresses (common knowledge); hosts below one are the same service. */
  private static final List<Known> KNOWN = new ArrayList<>();

  static {
    known("Bluesky", "post-service", "bsky.app");
    known("Codeberg", "code-service", "codeberg.org");
    known("Facebook", "friends-service", "facebook.com", "fb.com", "fb.me");
    known("Flickr", "photo-service", "flickr.com");
    known("GitHub", "code-service", "github.com");
    known("GitLab", "code-service", "gitlab.com");
    known("Instagram", "photo-service", "instagram.com");
    known("LinkedIn", "work-service", "linkedin.com");
    known("Mastodon", "network-service", "mastodon.social", "mastodon.online", "mstdn.social");
    known("Pinterest", "board-service", "pinterest.com", "pinterest.co.uk", "pin.it");
    known("Signal", "message-service", "signal.me", "signal.group");
    known("SoundCloud", "music-service", "soundcloud.com");
    known("Spotify", "music-service", "spotify.com");
    known("Telegram", "message-service", "t.me", "telegram.me");
    known("Threads", "post-service", "threads.net", "threads.com");
    known("TikTok", "clip-service", "tiktok.com");
    known("Tripadvisor", "review-service", "tripadvisor.com", "tripadvisor.co.uk");
    known("Trustpilot", "review-service", "trustpilot.com");
    known("Vimeo", "film-service", "vimeo.com");
    known("WhatsApp", "message-service", "wa.me", "whatsapp.com");
    known("X", "post-service", "x.com", "twitter.com");
    known("XING", "work-service", "xing.com");
    known("YouTube", "film-service", "youtube.com", "youtu.be");
  }

  private static void known(String name, String icon, String... hosts) {
    for (String host : hosts) {
      KNOWN.add(new Known(host, new Service(name, icon)));
    }
  }

  /** Those that are known. */
  public static List<Service> all() {
    return KNOWN.stream().map(Known::service).distinct().toList();
  }

  /**
   * The service that an address leads to.
   *
   * @param address with or without {@code https://}
   * @return empty if it is none that is known
   */
  public static Optional<Service> at(String address) {
    String host = host(address.strip().toLowerCase(Locale.ROOT));
    return KNOWN.stream()
        .filter(known -> host.equals(known.host) || host.endsWith("." + known.host))
        .map(Known::service)
        .findFirst();
  }

  private static String host(String address) {
    try {
      String host = URI.create(address.contains("//") ? address : "https://" + address).getHost();
      return host == null ? "" : host;
    } catch (IllegalArgumentException e) {
      return "";
    }
  }
}
