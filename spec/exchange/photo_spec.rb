# frozen_string_literal: true

require "spec_helper"
require_relative "../../exchange/photo"
require_relative "../support/pictures"

RSpec.describe NutShelf::Exchange::Photo do
  it "keeps the picture and takes out what the camera wrote into it" do
    { "image/png" => Pictures.png, "image/jpeg" => Pictures.jpeg, "image/webp" => Pictures.webp }.each do |type, bytes|
      photo = described_class.new(bytes)
      expect(photo.media_type).to eq(type)
      expect(photo.bytes).not_to match(/GPS|Exif|Author/n)
      expect(described_class.new(photo.bytes).bytes).to eq(photo.bytes)
    end
  end

  it "leaves a picture that carries nothing as it is" do
    plain = Pictures.png(extra: [])
    expect(described_class.new(plain).bytes).to eq(plain)
  end

  it "refuses what no screen can show, what is no picture, and what is cut off" do
    expect { described_class.new(Pictures.png(width: 60_000, height: 60_000)) }.to raise_error(
      described_class::Unfit,
      /60000 x 60000/
    )
    expect { described_class.new(Pictures.jpeg(width: 11_000, height: 11_000)) }.to raise_error(
      described_class::Unfit,
      /11000/
    )
    expect { described_class.new("<svg onload=alert(1)>") }.to raise_error(
      described_class::Unfit,
      /no JPEG, PNG or WebP/
    )
    [Pictures.png, Pictures.jpeg, Pictures.webp].each do |bytes|
      expect { described_class.new(bytes.byteslice(0, 25)) }.to raise_error(described_class::Unfit)
    end
    expect { described_class.new("\xFF\xD8\xFF".b + ("x" * 3_000_000)) }.to raise_error(
      described_class::Unfit,
      /larger than 3 MB/
    )
  end
end
