# frozen_string_literal: true

require "rack/mock"
require "tmpdir"
require_relative "../support/house"
require_relative "../../boot/serving"

RSpec.describe NutShelf::Boot::Serving do
  it "says what it does not know, and takes no address with something after it" do
    expect { described_class.new(["--hous"]) }.to raise_error(ArgumentError, /--hous/)
    ["pantry.local", "https://pantry.local/shelf", nil].each do |url|
      expect { described_class.new(["--address", url].compact) }.to raise_error(ArgumentError, /An address is like/)
    end
  end

  it "serves this machine alone unless asked, in the words of before" do
    serving = described_class.new([]).tap { |one| one.port = 9380 }
    expect([serving.house?, serving.words]).to eq([false, "Nut Shelf is at http://127.0.0.1:9380"])
  end

  describe "what a phone gets without TLS" do
    address = "https://192.168.1.20:9443"

    around do |example|
      Dir.mktmpdir do |folder|
        machine = NutShelf::Boot::HouseCertificates::Machine.new(name: "pantry", addresses: ["192.168.1.20"])
        @certificates = NutShelf::Boot::HouseCertificates.new(folder: folder, machine: machine).ready
        house = ->(_) { [200, {}, ["the shelf"]] }
        @front = NutShelf::Boot::ByScheme.new(house, NutShelf::Boot::TrustPage.new(@certificates, address))
        example.run
      end
    end

    # As Puma hands it on: a listener over TLS says so in HTTPS.
    def get(path, **env) = Rack::MockRequest.new(@front).get("http://192.168.1.20#{path}", env.transform_keys(&:to_s))

    it "is the certificate and how to trust it, and nothing of the house" do
      page = get("/")
      expect(page.body).to include(@certificates.fingerprint, "How to take it back", address)
      expect(get("/house-authority.crt").body.b).to eq(@certificates.authority.to_der.b)
      expect(get("/api/stacks")).to have_attributes(status: 308,
        headers: include("location" => "#{address}/api/stacks"))
      expect(Rack::MockRequest.new(@front).post("http://192.168.1.20/api/login").status).to eq(405)
    end

    it "is the house over TLS" do
      expect(get("/api/stacks", HTTPS: "https").body).to eq("the shelf")
    end

    it "is not the house for who only says that it came over TLS" do
      forged = { HTTP_X_FORWARDED_PROTO: "https", HTTP_X_FORWARDED_SSL: "on", HTTP_HTTPS: "https",
                 "rack.url_scheme": "https" }
      expect(get("/api/stacks", **forged).status).to eq(308)
    end
  end
end
