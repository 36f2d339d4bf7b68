package goodbones.server.pictures;

import goodbones.server.problems.BadInput;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Vector pictures that were taken in before they were rebuilt from what is allowed are rebuilt
 * before the port is open. One that cannot be is kept, but as a file that no page shows.
 */
@Component
class OldPictures implements SmartInitializingSingleton {
  private static final Logger LOG = LoggerFactory.getLogger(OldPictures.class);
  private final PictureRepository pictures;
  private final Pictures all;

  OldPictures(PictureRepository pictures, Pictures all) {
    this.pictures = pictures;
    this.all = all;
  }

  /** Those that have no sizes yet get them while people work already. */
  @EventListener(ApplicationReadyEvent.class)
  void begun() {
    Thread sizes = new Thread(all::makeMissingSizes, "picture-sizes");
    sizes.setDaemon(true);
    sizes.start();
  }

  @Override
  @Transactional
  public void afterSingletonsInstantiated() {
    List<Picture> old = pictures.findByRebuiltFalse();
    for (Picture picture : old) {
      try {
        picture.rebuild(
            new StoredFile(
                picture.fileName(), PictureFile.read(picture.fileName(), picture.bytes())));
      } catch (BadInput refused) {
        LOG.warn("A picture is not shown any more: {}", refused.getMessage());
        picture.setAside();
      }
    }
    pictures.saveAll(old);
  }
}
