package openslab.server.system;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Which ways there are to finish a floor. */
@RestController
@RequestMapping("/api/systems")
class SystemController {
    private final Systems systems;

    SystemController(Systems systems) {
        this.systems = systems;
    }

    @GetMapping
    List<SystemForm> systems() {
        return systems.forms();
    }
}
