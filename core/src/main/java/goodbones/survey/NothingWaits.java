package goodbones.survey;

import goodbones.document.Node;
import goodbones.document.NodeId;
import goodbones.document.Pin;
import java.util.ArrayList;
import java.util.List;

/** What was asked about a placement is answered; what is held on purpose is as it is meant. */
final class NothingWaits extends SurveyRule {
  NothingWaits() {
    super("waiting", "No placement waits for an answer", "common practice");
  }

  @Override
  public List<Finding> in(SurveyedDocument document, SurveyedSite site) {
    List<Finding> findings = new ArrayList<>();
    document
        .members()
        .walk(
            member ->
                member
                    .placement()
                    .flatMap(placement -> placement.pin())
                    .filter(pin -> pin.reason() == Pin.Reason.WAITING)
                    .ifPresent(
                        pin ->
                            findings.add(
                                document.at(
                                    outermost(member),
                                    "It stays on revision "
                                        + pin.revision()
                                        + ": answer what is asked about it under Rollouts"))));
    return findings;
  }

  /** What is drawn of a placement; itself where it draws nothing. */
  private static NodeId outermost(Node member) {
    return member.all().stream()
        .filter(node -> !node.kind().isMember())
        .findFirst()
        .map(Node::id)
        .orElse(member.id());
  }
}
