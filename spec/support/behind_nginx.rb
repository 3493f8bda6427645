# frozen_string_literal: true

require "fileutils"
require "json"
require "net/http"
require "open3"
require "socket"
require_relative "../../boot/house_certificates"
require_relative "../../boot/settings"

# Two servers of one database behind Debian's nginx, over TLS, each a process of its own.
class BehindNginx
  ROOT = NutShelf::Boot::Settings::ROOT
  NAME = "pantry.local"
  NGINX = ["/usr/sbin/nginx", File.join(ROOT, ".local/debs/nginx/usr/sbin/nginx")].freeze
  PATIENCE = 60

  attr_reader :port, :pids

  # @return [Boolean] whether there is an nginx to run
  def self.possible? = NGINX.any? { |path| File.executable?(path) }

  # @param folder [String] for everything they write
  # @param database [String] the owner's URL
  def initialize(folder, database)
    @folder = folder
    @database = database
    @port, *@servers = free_ports(3)
    machine = NutShelf::Boot::HouseCertificates::Machine.new(name: "pantry")
    @tls = NutShelf::Boot::HouseCertificates.new(folder: File.join(folder, "tls"), machine: machine).ready
  end

  def start
    # One after the other: the first brings the database up to date.
    @pids = @servers.map { |port| serve(port).tap { wait_for(port) } }
    File.write(File.join(@folder, "nginx.conf"), configuration)
    @nginx = Process.spawn(nginx, "-p", @folder, "-c", "nginx.conf", "-e", "error.log", %i[out err] => "/dev/null")
    wait_for(@port)
    self
  end

  def stop
    [@nginx, *@pids].compact.each { |pid| quit(pid) }
  end

  # Ends one of the servers.
  def end_one = quit(@pids.pop)

  # @return [Net::HTTPResponse]
  def ask(path, headers = {}) = http.get(path, headers)

  # @return [Net::HTTPResponse]
  def tell(path, body, headers)
    http.post(path, JSON.generate(body), { "content-type" => "application/json", **headers })
  end

  # What the owner runs at night.
  # @return [String] what it printed
  def run(*command, database: @database)
    output, status = Open3.capture2e(env.merge("DATABASE_URL" => database), "bundle", "exec", "ruby", *command,
      chdir: ROOT)
    raise output unless status.success?

    output
  end

  private

  def http
    store = OpenSSL::X509::Store.new.tap { |one| one.add_cert(@tls.authority) }
    Net::HTTP.new(NAME, @port).tap do |one|
      one.ipaddr = "127.0.0.1"
      one.use_ssl = true
      one.cert_store = store
    end
  end

  def env
    {
      "DATABASE_URL" => @database, "NUT_SHELF_LOCAL" => @folder, "NUT_SHELF_TLS" => "1", "NUT_SHELF_WEB" => "1",
      "NUT_SHELF_URL" => "https://#{NAME}:#{@port}", "NUT_SHELF_BUILD" => "spec", "RACK_ENV" => "production"
    }
  end

  def serve(port)
    log = File.join(@folder, "server-#{port}.log")
    Process.spawn(env.merge("PORT" => port.to_s), "bundle", "exec", "ruby", "bin/_serve.rb", "house",
      chdir: ROOT, %i[out err] => log)
  end

  def quit(pid)
    Process.kill("INT", pid)
    Process.wait(pid)
  rescue Errno::ESRCH, Errno::ECHILD
    nil
  end

  def wait_for(port)
    limit = now + PATIENCE
    begin
      TCPSocket.new("127.0.0.1", port).close
    rescue Errno::ECONNREFUSED
      raise "Nothing answers at #{port}: #{logs}" if now > limit

      IO.select(nil, nil, nil, 0.1)
      retry
    end
  end

  def logs = Dir[File.join(@folder, "*.log")].map { |path| File.read(path)[-800..] || File.read(path) }.join("\n")

  def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

  def free_ports(count)
    sockets = Array.new(count) { TCPServer.new("127.0.0.1", 0) }
    sockets.map { |one| one.addr[1] }.tap { sockets.each(&:close) }
  end

  def nginx = NGINX.find { |path| File.executable?(path) }

  # As docs/at-home.md has it, but for the ports and folders.
  def configuration
    <<~CONF
      #{"user root;" if Process.uid.zero?}
      daemon off;
      worker_processes 1;
      pid nginx.pid;
      events { worker_connections 64; }
      http {
        access_log off;
        #{%w[client_body proxy fastcgi uwsgi scgi].map { |name| "#{name}_temp_path #{name};" }.join(" ")}
        upstream nut_shelf { #{@servers.map { |port| "server 127.0.0.1:#{port};" }.join(" ")} }
        server {
          listen 127.0.0.1:#{@port} ssl;
          server_name #{NAME};
          ssl_certificate #{@tls.server_path};
          ssl_certificate_key #{@tls.key_path};
          client_max_body_size 64m;
          location / {
            proxy_pass http://nut_shelf;
            proxy_set_header Host $host:$server_port;
            proxy_set_header X-Forwarded-For $remote_addr;
            proxy_set_header X-Forwarded-Proto https;
            add_header X-Served-By $upstream_addr always;
          }
        }
      }
    CONF
  end
end
