package goodbones.server.files;

import goodbones.server.library.Referred;
import goodbones.server.library.UsageIndex;
import goodbones.server.memory.Current;
import goodbones.server.pictures.PictureView;
import goodbones.server.pictures.Pictures;
import goodbones.server.problems.BadInput;
import goodbones.server.problems.Etag;
import goodbones.server.problems.NotFound;
import goodbones.server.sites.ClientDetails;
import goodbones.server.sites.Sites;
import goodbones.site.Addresses;
import goodbones.site.Links;
import goodbones.site.Menu;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The files that clients' pages link to. */
@Service
public class ClientFiles {
  private static final int LONGEST_NAME = 80;
  private final FileRepository repository;
  private final UsageIndex usage;
  private final ClientDetails details;
  private final Sites sites;
  private final Pictures pictures;
  private final Current<List<FileView>> all;

  ClientFiles(
      FileRepository repository,
      UsageIndex usage,
      ClientDetails details,
      Sites sites,
      Pictures pictures) {
    this.repository = repository;
    this.all = new Current<>(() -> List.copyOf(repository.views()));
    this.usage = usage;
    this.details = details;
    this.sites = sites;
    this.pictures = pictures;
  }

  /** A client's files by name, also those that are offered no more. */
  @Transactional(readOnly = true)
  public List<FileView> of(String siteId) {
    return all.get().stream().filter(file -> file.siteId().equals(siteId)).toList();
  }

  /**
   * The ids of all that links of a client can lead to: its files, and pictures that it may have.
   */
  @Transactional(readOnly = true)
  public Set<String> linkable(String siteId) {
    return Stream.concat(
            of(siteId).stream().map(FileView::id),
            pictures.book().all().stream()
                .filter(picture -> picture.isFor(siteId))
                .map(PictureView::id))
        .collect(Collectors.toUnmodifiableSet());
  }

  /**
   * Where a file is linked to.
   *
   * @param documents in how many pages and pieces
   * @param menus the names of the menus, one for each link
   */
  record Uses(int documents, List<String> menus) {
    int all() {
      return documents + menus.size();
    }
  }

  /** Where each file of a client is linked to, by its id. */
  @Transactional(readOnly = true)
  Map<String, Uses> uses(String siteId) {
    Map<String, Integer> documents = usage.users(Referred.FILE);
    Map<String, List<String>> menus = new HashMap<>();
    for (Menu menu : details.menus(siteId)) {
      menu.walk(
          item ->
              menus
                  .computeIfAbsent(Links.fileOf(item.link()), id -> new ArrayList<>())
                  .add(menu.name()));
    }
    return of(siteId).stream()
        .map(FileView::id)
        .collect(
            Collectors.toMap(
                Function.identity(),
                id -> new Uses(documents.getOrDefault(id, 0), menus.getOrDefault(id, List.of()))));
  }

  /**
   * Takes a file in.
   *
   * @throws NotFound if there is no such client
   * @throws BadInput if it is nothing that visitors can be given
   */
  @Transactional
  public FileView add(String siteId, String fileName, byte[] bytes) {
    return add(UUID.randomUUID().toString(), siteId, fileName, bytes);
  }

  /**
   * @throws NotFound as {@link #add(String, String, byte[])}
   * @throws BadInput as {@link #add(String, String, byte[])}
   */
  @Transactional
  public FileView add(String id, String siteId, String fileName, byte[] bytes) {
    sites.get(siteId);
    FileKind kind = FileKind.of(fileName, bytes);
    String name = free(siteId, "", cleaned(fileName, kind.ending()));
    all.change();
    return repository.save(new ClientFile(id, siteId, name, kind, bytes)).view();
  }

  /**
   * Gives a file another content wherever it is linked to.
   *
   * @throws NotFound if there is no such file
   * @throws BadInput if it is of another kind
   */
  @Transactional
  public FileView replace(String id, String etag, String fileName, byte[] bytes) {
    ClientFile file = seen(id, etag);
    FileKind kind = FileKind.of(fileName, bytes);
    BadInput.require(
        kind.mediaType().equals(file.view().mediaType()),
        "file",
        "“"
            + fileName
            + "” is another kind of file than “"
            + file.view().fileName()
            + "”, whose address ends with its kind; bring it in as a file of its own");
    all.change();
    file.replace(bytes);
    return repository.save(file).view();
  }

  private ClientFile seen(String id, String etag) {
    all.change();
    ClientFile file = get(id);
    Etag.require(etag, file.view().etag(), "This file");
    return file;
  }

  /**
   * Says what a file is called, and whether it is offered.
   *
   * @throws NotFound if there is no such file
   * @throws BadInput if another file is called that, or it is linked to and would be put away
   */
  @Transactional
  public FileView describe(String id, String etag, String fileName, boolean away) {
    ClientFile file = seen(id, etag);
    FileView before = file.view();
    String ending = before.fileName().substring(before.fileName().lastIndexOf('.') + 1);
    String name = cleaned(fileName, ending);
    BadInput.require(
        name.equals(free(before.siteId(), id, name)),
        "fileName",
        "Another file is called “" + name + "”; choose another name");
    int uses = Objects.requireNonNull(uses(before.siteId()).get(id)).all();
    BadInput.require(
        before.away() || !away || uses == 0,
        "away",
        "The file is linked to in "
            + uses
            + (uses == 1 ? " place" : " places")
            + "; let those links lead elsewhere first");
    all.change();
    file.describe(name, away);
    return repository.save(file).view();
  }

  /**
   * @throws NotFound if there is no such file
   */
  @Transactional(readOnly = true)
  public FileView view(String id) {
    return all.get().stream()
        .filter(file -> file.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new NotFound("file", id));
  }

  /**
   * @throws NotFound if there is no such file
   */
  @Transactional(readOnly = true)
  public byte[] bytes(String id) {
    return get(id).bytes();
  }

  private ClientFile get(String id) {
    return repository.findById(id).orElseThrow(() -> new NotFound("file", id));
  }

  private static String cleaned(String fileName, String ending) {
    String stem = Addresses.of(fileName.replaceFirst("\\.[^.]*$", ""), "file");
    return stem.substring(0, Math.min(LONGEST_NAME, stem.length())) + "." + ending;
  }

  /** A name that no other file of the client has. */
  private String free(String siteId, String but, String name) {
    int dot = name.lastIndexOf('.');
    String ending = name.substring(dot);
    Set<String> taken = new HashSet<>();
    of(siteId).stream()
        .filter(file -> !file.id().equals(but) && file.fileName().endsWith(ending))
        .forEach(
            file ->
                taken.add(
                    file.fileName().substring(0, file.fileName().length() - ending.length())));
    return Addresses.free(name.substring(0, dot), taken) + ending;
  }
}
