package yewberry.server.api;

import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.output.Loss;
import yewberry.core.output.OutputSettings;
import yewberry.server.jobs.Jobs;
import yewberry.server.jobs.Outputs;
import yewberry.server.store.OutputSettingsStore;
import yewberry.server.view.JobView;
import yewberry.server.view.SavedSettingsView;

/** What is made of a publication, with its settings. */
@RestController
@RequestMapping("/api")
class OutputApi {
    private final Jobs jobs;
    private final Outputs outputs;
    private final OutputSettingsStore kept;

    OutputApi(Jobs jobs, Outputs outputs, OutputSettingsStore kept) {
        this.jobs = jobs;
        this.outputs = outputs;
        this.kept = kept;
    }

    /** Begins it; its job says what becomes of it. */
    @PostMapping("/publications/{id}/outputs")
    @ResponseStatus(HttpStatus.ACCEPTED)
    JobView output(
            @PathVariable UUID id,
            @RequestBody OutputSettings settings,
            @RequestParam(defaultValue = "false") boolean missingAccepted) {
        return jobs.output(id, settings, missingAccepted);
    }

    /** What it would lose or change, before it is written. */
    @PostMapping("/publications/{id}/outputs/losses")
    List<Loss> losses(@PathVariable UUID id, @RequestBody OutputSettings settings) {
        return outputs.losses(id, settings);
    }

    @GetMapping("/output-settings")
    List<SavedSettingsView> saved() {
        return kept.all().stream().map(OutputApi::view).toList();
    }

    /** What was kept under the same name is replaced. */
    @PostMapping("/output-settings")
    SavedSettingsView save(@RequestParam String name, @RequestBody OutputSettings settings) {
        return view(kept.save(name, settings));
    }

    private static SavedSettingsView view(OutputSettingsStore.Saved saved) {
        return new SavedSettingsView(saved.id(), saved.name(), saved.settings());
    }

    @DeleteMapping("/output-settings/{settings}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@PathVariable UUID settings) {
        kept.remove(settings);
    }
}
