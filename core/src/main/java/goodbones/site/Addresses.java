package goodbones.site;

import java.text.Normalizer;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/** Makes addresses of what things are called: lower case, no spaces, none twice. */
public final class Addresses {
  private Addresses() {}

  /**
   * Letters and digits of any script with hyphens between words; marks over Latin letters are left
   * out, so that what can be typed is what is read.
   *
   * @return the other text where nothing is left
   */
  public static String of(String text, String otherwise) {
    String plain = Normalizer.normalize(text, Normalizer.Form.NFKD).replaceAll("\\p{Mn}+", "");
    String address =
        Normalizer.normalize(plain, Normalizer.Form.NFKC)
            .toLowerCase(Locale.ROOT)
            .replaceAll("[^\\p{L}\\p{Nd}]+", "-")
            .replaceAll("^-|-$", "");
    return address.isEmpty() ? otherwise : address;
  }

  /** An address that none of the taken ones equals: with 2, 3 and so on after it if need be. */
  public static String free(String wanted, Collection<String> taken) {
    String address = wanted;
    for (int i = 2; taken.contains(address); i++) {
      address = wanted + "-" + i;
    }
    return address;
  }

  /** A thing by its id, and what it is called. */
  public record Named(String id, String name) {}

  /**
   * The addresses of the sections of a page. Those that have one keep it, whatever they are called
   * by now.
   *
   * @param known by id
   */
  public static Map<String, String> sections(List<Named> sections, Map<String, String> known) {
    Map<String, String> addresses = new LinkedHashMap<>();
    Set<String> taken = new TreeSet<>();
    for (Named section : sections) {
      String address = known.get(section.id());
      if (address != null && taken.add(address)) {
        addresses.put(section.id(), address);
      }
    }
    for (Named section : sections) {
      if (!addresses.containsKey(section.id())) {
        String address = free(of(section.name(), "section"), taken);
        taken.add(address);
        addresses.put(section.id(), address);
      }
    }
    return addresses;
  }
}
