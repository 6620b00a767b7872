package arborline.server.machine;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface PlanRepository extends Repository<PlanPlace, PlanPlace.Key> {

  List<PlanPlace> findByMachineId(String machineId);

  Optional<PlanPlace> findByMachineIdAndPlace(String machineId, String place);

  List<PlanPlace> findByMachineIdAndToolId(String machineId, long toolId);

  List<PlanPlace> findByToolIdOrderByMachineId(long toolId);

  long countByMachineId(String machineId);

  PlanPlace save(PlanPlace place);

  void delete(PlanPlace place);

  void deleteAll(Iterable<PlanPlace> places);

  void flush();
}
