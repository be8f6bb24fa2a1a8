package app.latethistle.server.material;

import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface OwnFaceRows extends JpaRepository<OwnFaceRow, String> {
  List<OwnFaceRow> findAllByOrderByFamilyAscBoldAscItalicAsc();

  List<OwnFaceRow> findByFamilyInOrderByFamilyAscBoldAscItalicAsc(Collection<String> families);
}
