/// Watches the scenes of the yard.
public class Watcher: NSObject, UISceneDelegate {
    public func scene(_ scene: UIScene, willConnectTo session: UISceneSession) {}
    public func sceneDidBecomeActive(_ scene: UIScene) {}
    public func sceneWillResignActive(_: UIScene) {}
    public func gauge(_ gauge: Gauge, rose: Int) {}
    public func scene(named scene: UIScene) {}
    public static func scene(_ scene: UIScene) {}

    @available(*, unavailable)
    public required init?(coder: NSCoder) { fatalError() }

    public init?(coder aDecoder: NSCoder) {}

    @available(*, deprecated)
    public init(old: Int) {}
}

extension Watcher: WKNavigationDelegate {
    public func webView(_ webView: WKWebView!, didFinish navigation: WKNavigation!) {}
    public func web(_ webView: WKWebView) {}
}

/// Measures a vat.
public class Gauge {}

extension WKWebView: Printed {}
