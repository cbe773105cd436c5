//! A browser with the pages of the demo.

use std::io::{BufRead, BufReader};
use std::path::{Path, PathBuf};
use std::process::{Child, Command, Stdio};
use std::time::{Duration, Instant};

use fantoccini::key::Key;
use fantoccini::wd::WebDriverCompatibleCommand;
use fantoccini::{Client, ClientBuilder};
use hyper_util::client::legacy::connect::HttpConnector;
use libtest_mimic::Failed;
use serde_json::{Value, json};

/// What these tests cannot do without.
pub(crate) const WHAT_IS_NEEDED: &str = "the browser tests need chromium and chromedriver (Debian: chromium, chromium-driver), and \
     the accessibility test needs axe.min.js of npm's axe-core at VINEQUILL_AXE";

/// What is not there.
pub(crate) enum Missing {
    Browser,
    Axe,
}

/// Returns what is missing here.
pub(crate) fn missing() -> Option<Missing> {
    let runs = |program: &str| {
        Command::new(program).arg("--version").stdout(Stdio::null()).stderr(Stdio::null()).status().is_ok()
    };
    if !runs("chromedriver") || !runs("chromium") {
        return Some(Missing::Browser);
    }
    if axe().is_none() { Some(Missing::Axe) } else { None }
}

/// Returns where the accessibility engine is.
pub(crate) fn axe() -> Option<PathBuf> {
    std::env::var_os("VINEQUILL_AXE").map(PathBuf::from).filter(|path| path.is_file())
}

/// The pages of the demo in a browser.
pub(crate) struct Site {
    folder: tempfile::TempDir,
    runtime: tokio::runtime::Runtime,
    client: Client,
}

/// A program that ends with the test.
struct Running(Child);

impl Drop for Running {
    fn drop(&mut self) {
        // It may have ended by itself.
        let _ = self.0.kill();
        let _ = self.0.wait();
    }
}

/// Runs a test with the demo's pages in a browser of its own.
pub(crate) fn with_site(test: impl FnOnce(&Site) -> Result<(), Failed>) -> Result<(), Failed> {
    let folder = tempfile::tempdir().unwrap();
    vinequill(folder.path(), &["demo", "sallow-ridge"]);
    vinequill(folder.path(), &["pages", "sallow-ridge", "-o", "site"]);
    with_folder(folder, test)
}

/// Runs a test with the pages that are in `site` of a folder.
pub(crate) fn with_folder(
    folder: tempfile::TempDir,
    test: impl FnOnce(&Site) -> Result<(), Failed>,
) -> Result<(), Failed> {
    let mut driver = Command::new("chromedriver")
        .args(["--port=0"])
        .stdout(Stdio::piped())
        .stderr(Stdio::null())
        .spawn()
        .map_err(|error| format!("chromedriver does not start: {error}"))?;
    let mut lines = BufReader::new(driver.stdout.take().unwrap()).lines();
    let _running = Running(driver);
    let port = lines
        .by_ref()
        .map_while(Result::ok)
        .find_map(|line| Some(line.rsplit_once("successfully on port ")?.1.trim_end_matches('.').to_owned()))
        .ok_or("chromedriver names no port")?;
    // What else it says is read, so that it never waits for a reader.
    std::thread::spawn(move || lines.for_each(drop));
    let runtime = tokio::runtime::Builder::new_current_thread().enable_all().build()?;
    let capabilities = json!({
        "goog:chromeOptions": { "args": [
            "--headless", "--no-sandbox", "--disable-gpu", "--disable-quic", "--no-first-run",
            "--disable-background-networking", "--disable-component-update", "--disable-sync",
        ] },
        "goog:loggingPrefs": { "browser": "ALL" },
    });
    let Value::Object(capabilities) = capabilities else { return Err("no capabilities".into()) };
    let mut connecting = ClientBuilder::new(HttpConnector::new());
    connecting.capabilities(capabilities);
    let client = runtime.block_on(connecting.connect(&format!("http://localhost:{port}")))?;
    let site = Site { folder, runtime, client };
    let done = test(&site).and_then(|()| site.console_is_quiet());
    site.runtime.block_on(site.client.clone().close())?;
    done
}

/// A command of this browser's own, beside those of the standard.
#[derive(Debug)]
struct Extra {
    path: &'static str,
    body: Value,
}

impl WebDriverCompatibleCommand for Extra {
    fn endpoint(&self, base: &url::Url, session: Option<&str>) -> Result<url::Url, url::ParseError> {
        base.join(&format!("session/{}/{}", session.unwrap_or_default(), self.path))
    }

    fn method_and_body(&self, _: &url::Url) -> (http::Method, Option<String>) {
        (http::Method::POST, Some(self.body.to_string()))
    }
}

impl Site {
    /// Waits for something of the browser.
    fn wait<T, E: std::fmt::Display>(&self, future: impl Future<Output = Result<T, E>>) -> Result<T, Failed> {
        self.runtime.block_on(future).map_err(|error| error.to_string().into())
    }

    /// Has the browser show pages at this size, as by daylight or in the dark.
    pub(crate) fn look(&self, (width, height): (u32, u32), dark: bool) -> Result<(), Failed> {
        let size = json!({ "width": width, "height": height, "deviceScaleFactor": 1, "mobile": false });
        let scheme = json!({ "name": "prefers-color-scheme", "value": if dark { "dark" } else { "light" } });
        for (command, parameters) in [
            ("Emulation.setDeviceMetricsOverride", size),
            ("Emulation.setEmulatedMedia", json!({ "features": [scheme] })),
        ] {
            let body = json!({ "cmd": command, "params": parameters });
            self.wait(self.client.issue_cmd(Extra { path: "goog/cdp/execute", body }))?;
        }
        Ok(())
    }

    /// Opens a page of the site from disk.
    pub(crate) fn open(&self, page: &str) -> Result<(), Failed> {
        let (path, rest) = page.split_at(page.find('#').unwrap_or(page.len()));
        let address = url::Url::from_file_path(self.folder.path().join("site").join(path))
            .map_err(|()| format!("{page} has no address"))?;
        self.wait(self.client.goto(&format!("{address}{rest}")))
    }

    /// Returns what a script returns.
    pub(crate) fn script(&self, script: &str) -> Result<Value, Failed> {
        self.wait(self.client.execute(script, Vec::new()))
    }

    /// Returns what a script hands to the function that is its last argument.
    pub(crate) fn script_that_waits(&self, script: &str) -> Result<Value, Failed> {
        self.wait(self.client.execute_async(script, Vec::new()))
    }

    /// Returns what a script returns, as text.
    pub(crate) fn text(&self, script: &str) -> Result<String, Failed> {
        let value = self.script(&format!("return String({script})"))?;
        Ok(value.as_str().unwrap_or_default().to_owned())
    }

    /// Presses keys, one after the other, where the focus is.
    pub(crate) fn press(&self, keys: &[&str]) -> Result<(), Failed> {
        for key in keys {
            let named = match *key {
                "Tab" => Some(Key::Tab),
                "Enter" => Some(Key::Enter),
                "Escape" => Some(Key::Escape),
                "Down" => Some(Key::Down),
                "Up" => Some(Key::Up),
                _ => None,
            };
            let typed = named.map_or_else(|| (*key).to_owned(), |key| char::from(key).to_string());
            let focused = self.wait(self.client.active_element())?;
            self.wait(focused.send_keys(&typed))?;
        }
        Ok(())
    }

    /// Waits until a script says yes; says what was waited for when it does not.
    pub(crate) fn until(&self, script: &str) -> Result<(), Failed> {
        let begun = Instant::now();
        while begun.elapsed() < Duration::from_secs(120) {
            if self.script(&format!("return Boolean({script})"))? == Value::Bool(true) {
                return Ok(());
            }
            std::thread::sleep(Duration::from_millis(20));
        }
        let address = self.wait(self.client.current_url())?;
        Err(format!("not so within 20 s on {address}: {script}").into())
    }

    /// Fails when the browser has complained of anything.
    fn console_is_quiet(&self) -> Result<(), Failed> {
        let body = json!({ "type": "browser" });
        let entries = self.wait(self.client.issue_cmd(Extra { path: "se/log", body }))?;
        match entries.as_array() {
            Some(entries) if entries.is_empty() => Ok(()),
            _ => Err(format!("the console says {entries}").into()),
        }
    }
}

/// Runs the program.
pub(crate) fn vinequill(folder: &Path, arguments: &[&str]) {
    let run = Command::new(env!("CARGO_BIN_EXE_vinequill"))
        .args(arguments)
        .current_dir(folder)
        .env("XDG_CACHE_HOME", folder.join("cache"))
        .output()
        .unwrap();
    assert!(run.status.success(), "{arguments:?}: {}", String::from_utf8_lossy(&run.stderr));
}
