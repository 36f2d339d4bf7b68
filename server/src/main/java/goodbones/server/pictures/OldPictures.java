package goodbones.server.pictures;

import goodbones.server.problems.BadInput;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.SmartInitializingSingleton;
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

  OldPictures(PictureRepository pictures) {
    this.pictures = pictures;
  }

  @Override
  @Transactional
  public void afterSingletonsInstantiated() {
    List<Picture> old = pictures.findByRebuiltFalse();
    for (Picture picture : old) {
      try {
        picture.rebuild(PictureFile.read(picture.fileName(), picture.bytes()));
      } catch (BadInput refused) {
        LOG.warn("A picture is not shown any more: {}", refused.getMessage());
        picture.setAside();
      }
    }
    pictures.saveAll(old);
  }
}
